<script setup lang="ts">
import type { Celsius, Milliseconds } from '#core/units/quantities'
import { FRIDGE_CHECKS } from '#core/rules/house'
import { computed } from 'vue'
import { judgeFridge } from '#core/fridge/excursion'
import { fridgeReadingInput } from '#shared/contracts/cold-room'
import type { FridgeView } from '#shared/contracts/lots'
import CorrectButton from '~/components/common/CorrectButton.vue'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import StateMark from '~/components/common/StateMark.vue'
import TemperatureField from '~/components/common/TemperatureField.vue'
import { useDraft } from '~/composables/use-draft'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { useFloor } from '~/stores/floor'
import { useSession } from '~/stores/session'

const props = defineProps<{ fridge: FridgeView; nowMs: Milliseconds }>()
const floor = useFloor()
const session = useSession()
const { as, temperature, moment } = useNotation()
const recorded = useRecorded()
const { draft, clear } = useDraft(`fridge-${props.fridge.id}`, () => ({ typed: '' }))
const { save, saving, errorAt, message } = useSave(fridgeReadingInput)
const last = computed(() => props.fridge.readings.at(-1))
const verdict = computed(() => judgeFridge(props.fridge.readings.slice(-2)))
const WORDS = {
  cold_enough: 'cold enough',
  warm: 'warm',
  hold: 'too warm, lots held',
  too_cold: 'too cold to cure',
  no_reading: 'no reading yet',
}
const TONES = { cold_enough: 'cold', warm: 'act', hold: 'act', too_cold: 'watch', no_reading: 'plain' } as const

const W = 168
const H = 46
const TOP_C = 10
const y = (tempC: Celsius) => H - 4 - (Math.min(Math.max(tempC, 0), TOP_C) / TOP_C) * (H - 8)
const trace = computed(() => {
  const points = props.fridge.readings.slice(-28)
  const first = points[0]?.atMs ?? 0
  const length = Math.max(1, (points.at(-1)?.atMs ?? 1) - first)
  return points.map(r => `${2 + ((r.atMs - first) / length) * (W - 4)},${y(r.tempC)}`).join(' ')
})

async function record(): Promise<void> {
  const body = { temperature: { typed: draft.value.typed, unit: as.value.temperature } }
  const done = await save(`/api/fridges/${props.fridge.id}/readings`, body)
  if (!done) return
  recorded(`${props.fridge.name}: ${draft.value.typed} recorded.`, done.eventId, floor.load)
  clear()
  await floor.load()
}
</script>

<template>
  <div class="fridge">
    <div class="now">
      <h3>{{ fridge.name }}</h3>
      <span class="reading"><span class="temp">{{ last ? temperature(last.tempC) : '–' }}</span><CorrectButton
        v-if="last"
        :id="last.id"
        what="fridge_reading"
        :about="`${fridge.name} at ${moment(last.atMs)}`"
        :now="temperature(last.tempC + last.offsetC)"
        @corrected="floor.load"
      /></span>
      <StateMark :tone="TONES[verdict]">{{ WORDS[verdict] }}</StateMark>
      <span v-if="last" class="small soft">{{ moment(last.atMs) }}</span>
      <InstrumentNote v-if="last" :mark="last.instrument" :offset-c="last.offsetC" :read-c="last.tempC" />
    </div>
    <svg
      :width="W"
      :height="H"
      role="img"
      :aria-label="`${fridge.name}: the last ${Math.min(28, fridge.readings.length)} readings`"
    >
      <line class="limit" x1="0" :x2="W" :y1="y(FRIDGE_CHECKS.warn.aboveC)" :y2="y(FRIDGE_CHECKS.warn.aboveC)" />
      <polyline :points="trace" />
    </svg>
    <form v-if="session.mayWrite" class="entry" @submit.prevent="record">
      <TemperatureField v-model="draft.typed" label="Reads now" :error="errorAt('temperature')" @enter="record" />
      <VBtn type="submit" variant="outlined" :loading="saving">Record</VBtn>
    </form>
    <SaveProblem class="wide" :message="message" />
  </div>
</template>

<style scoped>
.fridge {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0.35rem 1rem;
  align-items: center;
  border-top: 3px solid var(--brine);
  padding-top: 0.45rem;
}
.now {
  display: flex;
  flex-wrap: wrap;
  gap: 0.1rem 0.8rem;
  align-items: baseline;
}
.temp {
  font: 700 1.5rem/1 var(--slab);
  font-variant-numeric: lining-nums tabular-nums;
}
.reading {
  white-space: nowrap;
}
.entry {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 7rem;
  gap: 0.5rem;
  align-items: start;
}
.wide {
  grid-column: 1 / -1;
}
svg {
  justify-self: end;
  max-width: 100%;
}
polyline {
  fill: none;
  stroke: var(--brine);
  stroke-width: 2;
}
.limit {
  stroke: var(--ember);
  stroke-dasharray: 3 3;
}
@media (--phone) {
  svg {
    display: none;
  }
}
</style>
