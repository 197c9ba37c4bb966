<script setup lang="ts">
import type { Milliseconds } from '#core/units/quantities'
import { mdiCheck } from '@mdi/js'
import { computed } from 'vue'
import { DUE_IN_CURE } from '#core/plan/due-thing'
import { dueOf } from '#core/plan/due'
import { dueLot } from '#core/today/lot-tasks'
import { holdWords } from '#shared/messages/holds'
import type { LotPiece, LotSummary } from '#shared/contracts/lots'
import type { PlaceView } from '#shared/contracts/places'
import { turningDay } from '#core/turning/turning-day'
import LotCode from '~/components/common/LotCode.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import StateMark from '~/components/common/StateMark.vue'
import VerbButton from '~/components/steps/VerbButton.vue'
import HangNote from '~/components/twine/HangNote.vue'
import { useChosen } from '~/composables/use-chosen'
import { useNotation } from '~/composables/use-notation'
import { planOf } from '~/logic/plan-of'
import { outPress, pressOf } from '~/logic/plan-press'
import { goingWords, hourWords, nextWords } from '~/words/due-words'
import PieceChips from '~/components/steps/PieceChips.vue'
import RowAsk from './RowAsk.vue'
import { useRow } from './use-row'

/** Pieces that lie here and cure no more: drying, or resting after a heat. */
const props = defineProps<{ lot: LotSummary; pieces: LotPiece[]; places: PlaceView[]; placeId: number; nowMs: Milliseconds }>()
const { as, moment } = useNotation()
const ids = computed(() => props.pieces.map(piece => piece.id))
const chosen = useChosen(() => props.lot.code, () => ids.value)
const meant = computed(() => (chosen.value.length ? chosen.value : ids.value))
const plan = computed(() => planOf(props.lot, meant.value))
/** What the plan asks of pieces here next, of those that were chosen first: now, or not before an hour. */
const next = computed(() => {
  const asked = dueOf(dueLot(props.lot), props.nowMs).filter(
    due => !DUE_IN_CURE.has(due.kind) && (due.pieces === null || due.pieces.some(id => meant.value.includes(id))),
  )
  return asked.find(due => due.notBeforeMs === null) ?? asked[0] ?? null
})
/** Pieces where nobody chose: those here that it is asked of. */
const waiting = computed(() => {
  if (chosen.value.length) return chosen.value
  const { pieces = null } = next.value ?? {}
  return pieces === null ? ids.value : ids.value.filter(id => pieces.includes(id))
})
const day = computed(() => turningDay(props.lot.rubbedAtMs, props.nowMs, props.lot.zone))
const begins = computed(() => (next.value ? pressOf(next.value, plan.value, day.value) : null))
const row = useRow(
  () => ({ code: props.lot.code, pieces: meant.value, all: ids.value }),
  { out: () => outPress(plan.value), next: () => begins.value && { ...begins.value, pieces: waiting.value } },
)
const { asking, saving, message, asksBack, done, mayWrite, say, sayLate } = row
const since = computed(() => Math.min(...props.pieces.flatMap(piece => piece.sinceMs ?? [])))
/** What goes on with them, by the last thing told of all of them. */
const words = computed(() => `${goingWords(props.lot, ids.value, props.pieces[0]!.stage)} since`)
const waits = computed(() => {
  if (!next.value) return ''
  return [nextWords(next.value, as.value), hourWords(next.value, moment)].filter(Boolean).join(', ')
})
const MAIN = {
  touch: 'Surface…',
  fry_test: 'Fried a slice…',
  flavour: 'Flavour…',
  hang: 'Hang to dry…',
  weigh: 'Weigh…',
  cut: 'Cut up…',
} as const
const flavour = computed(() => (next.value?.item?.kind === 'flavour' ? next.value.item.how : undefined))
const main = computed(() => {
  const kind = next.value?.kind
  if (kind && kind in MAIN) return { verb: kind as keyof typeof MAIN, label: MAIN[kind as keyof typeof MAIN] }
  if (begins.value) return { verb: 'next' as const, label: begins.value.label }
  return props.pieces[0]!.stage === 'hang' ? { verb: 'weigh' as const, label: MAIN.weigh } : { verb: 'look' as const, label: 'Looked at' }
})
</script>

<template>
  <article class="cure-grid lying" data-lot :aria-label="`Lot ${lot.code}, ${words} ${moment(since)}`">
    <div class="who">
      <LotCode :code="lot.code" />
      <span>{{ lot.cut }}</span>
    </div>
    <div class="line">
      <div class="row">
        <PieceChips v-model="chosen" :pieces="pieces" :pickable="mayWrite" />
        <span class="small">{{ words }} {{ moment(since) }}</span>
        <StateMark v-for="reason in lot.openHolds" :key="reason" tone="held">held: {{ holdWords(reason, as) }}</StateMark>
        <span v-if="waits" class="small" :class="next!.late ? 'late' : 'soft'">
          {{ waits }}
        </span>
      </div>
      <HangNote v-if="pieces[0]!.stage === 'hang'" :lot="lot" :pieces="pieces" />
      <SaveProblem :message="message" />
    </div>
    <RowAsk
      v-if="mayWrite && (asking || asksBack)"
      :row="row"
      :of="{ lot, pieces, places, from: placeId, curing: false, nowMs, flavour }"
      :chosen="chosen"
    />
    <div v-else-if="mayWrite" class="acts">
      <VerbButton
        :main="next !== null && next.notBeforeMs === null && main.verb !== 'look'"
        :disabled="saving || done !== null"
        @now="say(main.verb)"
        @late="sayLate(main.verb)"
      >
        {{ main.label }}
      </VerbButton>
      <VerbButton
        :icon="done ? mdiCheck : undefined"
        :disabled="saving || done !== null"
        @now="say('more')"
        @late="sayLate('more')"
      >
        Else…
      </VerbButton>
    </div>
  </article>
</template>

<style scoped>
.lying {
  padding: 0.35rem 0;
  border-bottom: 1px solid var(--hair);
  content-visibility: auto;
  contain-intrinsic-size: auto 7rem;
}
.who {
  display: flex;
  gap: 0.8rem;
  align-items: baseline;
  padding-left: 4.1rem;
}
.line {
  padding-left: 0.4rem;
}
.row {
  gap: 0.35rem 0.9rem;
}
.late {
  color: var(--ember);
  font-weight: 600;
}
.acts {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.4rem;
}
@media (--tablet) {
  .who {
    padding-left: 0;
  }
  .line {
    padding-left: 0;
  }
}
</style>
