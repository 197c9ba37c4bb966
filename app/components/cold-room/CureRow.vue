<script setup lang="ts">
import type { Milliseconds } from '#core/units/quantities'
import { computed, ref } from 'vue'
import { mdiCheck } from '@mdi/js'
import { holdWords } from '#shared/messages/holds'
import type { LotSummary } from '#shared/contracts/lots'
import BeamSmall from '~/components/beam/BeamSmall.vue'
import LotCode from '~/components/common/LotCode.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import StateMark from '~/components/common/StateMark.vue'
import DrainStep from '~/components/steps/DrainStep.vue'
import LookStep from '~/components/steps/LookStep.vue'
import { type ToldStep, usePress } from '~/components/steps/use-press'
import CureTwine from '~/components/twine/CureTwine.vue'
import { FEEL_WORDS } from '~/words/step-words'
import { lotTwine } from '~/logic/lot-twine'
import { useNotation } from '~/composables/use-notation'
import { useCureSteps } from './use-cure-steps'

const props = defineProps<{ lot: LotSummary; nowMs: Milliseconds; width: number; from: number; to: number }>()
const { as, meat, moment, limit } = useNotation()
const { turn, takeOut, saving, message, mayWrite } = useCureSteps(() => props.lot.code)
const { press, insist, insistWords, forget, saving: pressing, message: pressMessage } = usePress(() => props.lot.code)
/** What is being told in two taps; the second records. */
const telling = ref<'drain' | 'look' | null>(null)
const close = () => {
  telling.value = null
  forget()
}
async function tell(step: ToldStep, words: string) {
  if (await press(step, words)) telling.value = null
}
async function insistOn() {
  if (await insist()) telling.value = null
}
const twine = computed(() => lotTwine(props.lot, props.nowMs))
const ready = computed(() => twine.value.day >= props.lot.readyFromDay)
const over = computed(() => twine.value.day > props.lot.bestByDay)
const turnedToday = computed(
  () =>
    twine.value.open === null && twine.value.knots.some(knot => knot.state === 'done' && knot.day === twine.value.day),
)
</script>

<template>
  <article class="cure-grid cure-row" data-lot :aria-label="`Lot ${lot.code}`">
    <div class="who">
      <span class="day" :aria-label="`cure day ${twine.day}`">{{ twine.day }}<small>day</small></span>
      <div>
        <LotCode :code="lot.code" />
        <div>
          {{ lot.cut }}<span v-if="lot.cut === 'belly'">, rind {{ lot.rind }}</span>
        </div>
        <div class="soft small">{{ lot.pieces.length }} pieces, {{ meat(lot.greenG) }}</div>
        <div class="soft small">{{ lot.fridge }}</div>
      </div>
    </div>
    <div class="line">
      <CureTwine
        :knots="twine.knots"
        :day="twine.day"
        :ready-from-day="lot.readyFromDay"
        :best-by-day="lot.bestByDay"
        :from-day="from"
        :to-day="to"
        :width="width"
      />
      <div class="row marks">
        <BeamSmall v-if="!lot.saltOnly" :judgement="lot.judgement" />
        <StateMark v-for="reason in lot.openHolds" :key="reason" tone="held">
          held: {{ holdWords(reason, as) }}
        </StateMark>
        <StateMark v-if="over" tone="act">past best by</StateMark>
        <StateMark v-if="lot.saltOnly" tone="cold">salt only: {{ limit(4) }} or colder</StateMark>
        <span v-if="lot.drainedAtMs" class="small soft">drained {{ moment(lot.drainedAtMs) }}</span>
        <span v-if="lot.lastFeel" class="small soft">
          {{ FEEL_WORDS[lot.lastFeel.feel] }} {{ moment(lot.lastFeel.atMs) }}
        </span>
      </div>
      <SaveProblem :message="message || pressMessage" />
    </div>
    <div v-if="mayWrite && telling" class="telling">
      <DrainStep v-if="telling === 'drain'" :saving="pressing" @tell="tell" @close="close" />
      <LookStep v-else :saving="pressing" @tell="tell" @close="close" />
      <VBtn v-if="insistWords" color="primary" block :loading="pressing" @click="insistOn">{{ insistWords }}</VBtn>
    </div>
    <div v-else-if="mayWrite" class="acts">
      <VBtn
        data-key="r"
        class="main"
        :color="twine.open ? 'primary' : undefined"
        :variant="twine.open ? 'flat' : 'outlined'"
        :prepend-icon="turnedToday ? mdiCheck : undefined"
        :loading="saving"
        @click="turn"
      >
        Turned, all pieces
      </VBtn>
      <VBtn variant="outlined" :disabled="saving" @click="telling = 'drain'">Drained</VBtn>
      <VBtn variant="outlined" :disabled="saving" @click="telling = 'look'">Looked at</VBtn>
      <VBtn
        :variant="ready ? 'flat' : 'outlined'"
        :color="ready ? 'secondary' : undefined"
        :disabled="saving"
        @click="takeOut"
      >
        Out, rinsed
      </VBtn>
    </div>
  </article>
</template>

<style scoped>
.cure-row {
  padding: 0.55rem 0 0.5rem;
  border-bottom: 1px solid var(--hair);
  scroll-margin-top: 5rem;
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
.telling {
  display: grid;
  gap: 0.4rem;
}
.acts {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 0.4rem;
}
.acts .main {
  grid-column: 1 / -1;
}
.acts .v-btn {
  padding: 0 0.4rem;
}
@media (--tablet) {
  .acts {
    grid-template-columns: 2fr 1fr 1fr 1fr;
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
    grid-template-columns: repeat(3, 1fr);
  }
  .acts .main {
    grid-column: 1 / -1;
  }
}
</style>
