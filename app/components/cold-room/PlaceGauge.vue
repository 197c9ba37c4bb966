<script setup lang="ts">
import type { Celsius, Milliseconds } from '#core/units/quantities'
import { FRIDGE_CHECKS } from '#core/rules/house'
import { computed, ref } from 'vue'
import { placeVerdict, type PlaceVerdict } from '#core/places/place-verdict'
import { PLACE_SHOWN, placeReadingInput, type PlaceReadingView, type PlaceView } from '#shared/contracts/places'
import { PLACE_VERDICTS, PLACE_WORDS } from '#shared/messages/places'
import CorrectButton from '~/components/common/CorrectButton.vue'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import StateMark from '~/components/common/StateMark.vue'
import ToldLate from '~/components/steps/ToldLate.vue'
import type { PressWhen } from '~/logic/press'
import TemperatureField from '~/components/common/TemperatureField.vue'
import { useDraft } from '~/composables/use-draft'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { useFloor } from '~/stores/floor'
import { useSession } from '~/stores/session'

/** A place: what it is, how cold it is, and the next reading. */
const props = defineProps<{ place: PlaceView; occupied: boolean; nowMs: Milliseconds }>()
const floor = useFloor()
const session = useSession()
const { as, temperature, moment, number } = useNotation()
const recorded = useRecorded()
const { draft, clear } = useDraft(`fridge-${props.place.id}`, () => ({ typed: '', humidity: '' }))
const { save, saving, errorAt, message } = useSave(placeReadingInput)
const when = ref<{ at: PressWhen; words: string } | null>(null)

const isTyped = computed(() => draft.value.typed.trim() !== '' || draft.value.humidity.trim() !== '')

type Warm = PlaceReadingView & { tempC: Celsius }
const warmths = computed(() => props.place.readings.filter((one): one is Warm => one.tempC !== null))
const last = computed(() => warmths.value.at(-1))
const lastRh = computed(() => props.place.readings.findLast(one => one.rh !== null))
const asPlace = computed(() => ({ kind: props.place.kind, can: props.place.uses }))
const verdict = computed(() => placeVerdict(asPlace.value, last.value?.tempC ?? null, props.occupied))
const TONES: Record<PlaceVerdict, 'cold' | 'act' | 'watch' | 'plain'> = {
  cold_enough: 'cold',
  warm: 'act',
  too_warm: 'act',
  too_cold: 'watch',
  no_reading: 'plain',
  empty: 'plain',
  own_plan: 'plain',
}

const W = 132
const H = 40
const TOP_C = 10
const y = (tempC: Celsius) => H - 4 - (Math.min(Math.max(tempC, 0), TOP_C) / TOP_C) * (H - 8)
const trace = computed(() => {
  const points = warmths.value.slice(-PLACE_SHOWN.readings)
  const first = points[0]?.atMs ?? 0
  const length = Math.max(1, (points.at(-1)?.atMs ?? 1) - first)
  return points.map(r => `${2 + ((r.atMs - first) / length) * (W - 4)},${y(r.tempC)}`).join(' ')
})

async function record(): Promise<void> {
  const { typed, humidity } = draft.value
  const done = await save(`/api/places/${props.place.id}/readings`, {
    temperature: typed.trim() ? { typed, unit: as.value.temperature } : null,
    humidity: humidity.trim() || null,
    ...when.value?.at,
  })
  if (!done) return
  const said = [typed, humidity && `${humidity} % RH`].filter(Boolean).join(', ')
  recorded(`${props.place.name}: ${said} recorded.`, done.eventId, floor.load)
  clear()
  when.value = null
  await floor.load()
}
</script>

<template>
  <div class="gauge">
    <div class="now">
      <h2>{{ place.name }}</h2>
      <span class="small soft">{{ PLACE_WORDS[place.kind].toLowerCase() }}</span>
      <span class="reading"><span class="temp">{{ last ? temperature(last.tempC) : '–' }}</span><CorrectButton
        v-if="last"
        :id="last.id"
        what="fridge_reading"
        :about="`${place.name} at ${moment(last.atMs)}`"
        :now="temperature(last.tempC + last.offsetC)"
        @corrected="floor.load"
      /></span>
      <StateMark v-if="verdict !== 'own_plan'" :tone="TONES[verdict]">{{ PLACE_VERDICTS[verdict] }}</StateMark>
      <span v-if="last" class="small soft">{{ moment(last.atMs) }}</span>
      <span v-if="lastRh" class="small">{{ number(lastRh.rh!, 0) }} % RH</span>
      <InstrumentNote v-if="last" :mark="last.instrument" :offset-c="last.offsetC" :read-c="last.tempC" />
    </div>
    <svg
      :width="W"
      :height="H"
      role="img"
      :aria-label="`${place.name}: the last ${Math.min(PLACE_SHOWN.readings, warmths.length)} readings`"
    >
      <line class="limit" x1="0" :x2="W" :y1="y(FRIDGE_CHECKS.warn.aboveC)" :y2="y(FRIDGE_CHECKS.warn.aboveC)" />
      <polyline :points="trace" />
    </svg>
    <form v-if="session.mayWrite" class="entry" @submit.prevent="record">
      <TemperatureField v-model="draft.typed" :label="when ? 'Read then' : 'Reads now'" :error="errorAt('temperature')" @enter="record" />
      <VTextField
        v-if="place.hygrometerId !== null"
        v-model="draft.humidity"
        label="Humidity"
        suffix="% RH"
        inputmode="decimal"
        autocomplete="off"
        :error-messages="errorAt('humidity')"
      />
      <VBtn type="submit" variant="outlined" :loading="saving">Record</VBtn>
    </form>
    <ToldLate v-if="session.mayWrite && (when || isTyped)" v-model="when" class="wide" :now-ms="nowMs" />
    <SaveProblem class="wide" :message="message" />
  </div>
</template>

<style scoped>
.gauge {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto minmax(15rem, 22rem);
  gap: 0.35rem 1.2rem;
  align-items: center;
  border-top: 3px solid var(--brine);
  padding: 0.45rem 0;
}
.now {
  display: flex;
  flex-wrap: wrap;
  gap: 0.1rem 0.8rem;
  align-items: baseline;
}
h2 {
  margin: 0;
}
.temp {
  font: 700 1.5rem/1 var(--slab);
  font-variant-numeric: lining-nums tabular-nums;
}
.reading {
  white-space: nowrap;
}
.entry {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  grid-auto-flow: column;
  gap: 0.5rem;
  align-items: start;
}
.wide {
  grid-column: 1 / -1;
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
@media (--tablet) {
  .gauge {
    grid-template-columns: minmax(0, 1fr) minmax(0, 18rem);
  }
  svg {
    display: none;
  }
}
@media (--phone) {
  .gauge {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
