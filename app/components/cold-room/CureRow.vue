<script setup lang="ts">
import { sumOf } from '#core/lists/sum-of'
import type { Milliseconds } from '#core/units/quantities'
import { computed } from 'vue'
import { mdiCheck, mdiDotsHorizontal } from '@mdi/js'
import { turningDay } from '#core/turning/turning-day'
import { dueOf } from '#core/plan/due'
import { dueLot } from '#core/today/lot-tasks'
import { holdWords } from '#shared/messages/holds'
import type { LotPiece, LotSummary } from '#shared/contracts/lots'
import type { PlaceView } from '#shared/contracts/places'
import BeamSmall from '~/components/beam/BeamSmall.vue'
import LotCode from '~/components/common/LotCode.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import StateMark from '~/components/common/StateMark.vue'
import VerbButton from '~/components/steps/VerbButton.vue'
import LotStacks from '~/components/twine/LotStacks.vue'
import LotTwines from '~/components/twine/LotTwines.vue'
import { FEEL_WORDS } from '#shared/steps/look'
import { planOf } from '~/logic/plan-of'
import { outPress, turnPress } from '~/logic/plan-press'
import { lotDay, lotTwines, toTurn } from '~/logic/lot-twine'
import { saltAgo } from '~/words/salt-ago'
import { useChosen } from '~/composables/use-chosen'
import { useNotation } from '~/composables/use-notation'
import PieceChips from '~/components/steps/PieceChips.vue'
import RowAsk from './RowAsk.vue'
import { useRow } from './use-row'

/** Pieces of a lot that cure in one place: its twine, how they lie, and what can be told of them. */
const props = defineProps<{
  lot: LotSummary
  pieces: LotPiece[]
  places: PlaceView[]
  placeId: number | null
  nowMs: Milliseconds
  width: number
  from: number
  to: number
}>()
const { as, meat, moment, limit } = useNotation()
const ids = computed(() => props.pieces.map(piece => piece.id))
const chosen = useChosen(() => props.lot.code, () => ids.value)
/** All of the lot, if all of it lies here and nobody chose. */
const isWhole = computed(() => props.pieces.length === props.lot.pieces.length)
const row = useRow(() => ({
  code: props.lot.code,
  pieces: chosen.value.length ? chosen.value : isWhole.value ? null : ids.value,
  all: ids.value,
}), { out: () => leaving.value, turn: () => turning.value })
const { asking, saving, message, asksBack, done, mayWrite, say, sayLate } = row
const turning = computed(() => turnPress(planOf(props.lot, ids.value), turningDay(props.lot.rubbedAtMs, props.nowMs, props.lot.zone)))
const leaving = computed(() => outPress(planOf(props.lot, ids.value)))
/** Twines of the plans that pieces here follow. */
const twines = computed(() =>
  lotTwines(props.lot, props.nowMs).filter(twine => twine.pieces.some(id => ids.value.includes(id))),
)
const day = computed(() => lotDay(props.lot, props.nowMs))
const ready = computed(() => twines.value.some(twine => day.value >= twine.readyFromDay))
const over = computed(() => twines.value.every(twine => day.value > twine.bestByDay))
const asked = computed(() => dueOf(dueLot(props.lot), props.nowMs))
/** True when its plan has the liquid poured off today. */
const pours = computed(() => asked.value.some(one => one.kind === 'drain'))
/** What its plan wants put on, with the turn that is due or by itself. */
const add = computed(() => asked.value.find(one => one.add)?.add)
const addsNow = computed(() => asked.value.some(one => one.kind === 'add'))
const turnsAndAdds = computed(() => asked.value.some(one => one.kind === 'turn' && one.add))
/** The pieces here that the open knot still waits for. */
const due = computed(() => toTurn(twines.value).filter(id => ids.value.includes(id)))
const turnedToday = computed(
  () =>
    due.value.length === 0
    && twines.value.some(twine => twine.knots.some(knot => knot.state === 'done' && knot.day === day.value)),
)
const saltWords = computed(() => saltAgo(props.lot, props.nowMs))
const greenG = computed(() => sumOf(props.pieces, piece => piece.greenG))
/** Turned, the stack goes over by its order. */
const isStacked = computed(() => props.pieces.some(piece => piece.layer !== null))
const which = computed(() => {
  if (chosen.value.length) return `${chosen.value.length === 1 ? 'this piece' : `these ${chosen.value.length}`}`
  if (isStacked.value) return 'as drawn'
  return isWhole.value ? 'all pieces' : `all ${ids.value.length} here`
})
</script>

<template>
  <article :id="lot.code" class="cure-grid cure-row" :class="{ asked: asking }" data-lot :aria-label="`Lot ${lot.code}`">
    <div class="who">
      <span class="day" :aria-label="`cure day ${day}`">{{ day }}<small>day</small></span>
      <div>
        <LotCode :code="lot.code" />
        <div>
          {{ lot.cut }}<span v-if="lot.cut === 'belly'">, rind {{ lot.rind }}</span>
        </div>
        <div class="soft small">
          {{ isWhole ? `${pieces.length} pieces` : `${pieces.length} of ${lot.pieces.length} pieces` }}, {{ meat(greenG) }}
        </div>
      </div>
    </div>
    <div class="line">
      <LotTwines :twines="twines" :pieces="lot.pieces" :from-day="from" :to-day="to" :width="width" />
      <LotStacks :pieces="pieces" :twines="twines" :now-ms="nowMs" />
      <div class="row marks">
        <PieceChips v-model="chosen" :pieces="pieces" :pickable="mayWrite" />
        <BeamSmall v-if="!lot.saltOnly" :judgement="lot.judgement" />
        <StateMark v-for="reason in lot.openHolds" :key="reason" tone="held">
          held: {{ holdWords(reason, as) }}
        </StateMark>
        <StateMark v-if="over" tone="watch">past best by</StateMark>
        <StateMark v-if="lot.saltOnly" tone="cold">salt only: {{ limit(4) }} or colder</StateMark>
        <span v-if="due.length && due.length < ids.length" class="small">
          still to turn: {{ pieces.filter(piece => due.includes(piece.id)).map(piece => piece.label).join(', ') }}
        </span>
        <span v-if="lot.drainedAtMs" class="small soft">drained {{ moment(lot.drainedAtMs) }}</span>
        <VBtn v-if="addsNow && mayWrite" variant="outlined" color="primary" class="adds" @click="say('add')">
          Put more on…
        </VBtn>
        <span v-if="saltWords" class="small soft">{{ saltWords }}</span>
        <span v-if="lot.lastFeel" class="small soft">
          {{ FEEL_WORDS[lot.lastFeel.feel] }} {{ moment(lot.lastFeel.atMs) }}
        </span>
      </div>
      <SaveProblem :message="message" />
    </div>
    <RowAsk
      v-if="mayWrite && (asking || asksBack)"
      :row="row"
      :of="{ lot, pieces, places, from: placeId, curing: true, nowMs, face: add?.face, turn: turning }"
      :chosen="chosen"
    />
    <p v-else-if="done" class="done" role="status"><VIcon :icon="mdiCheck" /> {{ done }}</p>
    <div v-else-if="mayWrite" class="acts">
      <VerbButton
        data-key="r"
        class="main"
        :main="due.length > 0"
        :icon="turnedToday ? mdiCheck : undefined"
        :loading="saving"
        @now="say(turnsAndAdds ? 'turn_add' : 'turn')"
        @late="sayLate(turnsAndAdds ? 'turn_add' : 'turn')"
      >
        {{ turnsAndAdds ? `${turning.label}, and more on: ${which}…` : `${turning.label}, ${which}` }}
      </VerbButton>
      <VerbButton :main="pours" :disabled="saving" @now="say('drain')" @late="sayLate('drain')">Drained</VerbButton>
      <VerbButton :disabled="saving" @now="say('look')" @late="sayLate('look')">Looked at</VerbButton>
      <VerbButton :good="ready" :disabled="saving" @now="say('out')" @late="sayLate('out')">{{ leaving.short }}</VerbButton>
      <VBtn
        class="else"
        variant="outlined"
        :icon="mdiDotsHorizontal"
        aria-label="Moved, leaked, told late"
        :disabled="saving"
        @click="say('more')"
      />
    </div>
  </article>
</template>

<style scoped>
.cure-row {
  padding: 0.55rem 0 0.5rem;
  border-bottom: 1px solid var(--hair);
  scroll-margin-top: 5rem;
  /* Only rows in sight are drawn, of forty. */
  content-visibility: auto;
  contain-intrinsic-size: auto 12rem;
}
.cure-row.asked {
  align-items: start;
}
.cure-row:target {
  background: var(--heather-wash);
}
.who {
  display: flex;
  gap: 0.9rem;
  align-items: start;
}
.day {
  font: 700 2.5rem/0.9 var(--slab);
  font-variant-numeric: lining-nums tabular-nums;
  min-width: 3.2rem;
  text-align: right;
  display: grid;
}
.day small {
  font: 600 0.8rem/1.2 var(--sans);
  color: var(--soft);
}
.marks {
  gap: 0.35rem 0.9rem;
}
.line {
  min-width: 0;
  overflow: hidden;
}
.done {
  margin: 0;
  color: var(--moss);
  font-weight: 600;
}
.adds {
  min-height: 56px;
}
.acts {
  display: grid;
  grid-template-columns: repeat(3, 1fr) 56px;
  gap: 0.4rem;
}
.acts .main {
  grid-column: 1 / -1;
}
.acts .else {
  width: 56px;
  min-height: 56px;
  border-radius: 4px;
}
@media (--tablet) {
  .acts {
    grid-template-columns: 2fr 1fr 1fr 1fr 56px;
  }
  .acts .main {
    grid-column: auto;
  }
  .day {
    font-size: 2.9rem;
  }
  .who > div {
    display: flex;
    flex-wrap: wrap;
    gap: 0.1rem 1rem;
    align-items: baseline;
    padding-top: 0.35rem;
  }
}
@media (--phone) {
  .acts {
    grid-template-columns: repeat(3, 1fr) 56px;
  }
  .acts .main {
    grid-column: 1 / -1;
  }
}
</style>
