<script setup lang="ts">
import { READING_AHEAD_MS } from '#core/rules/house'
import { nextTick, ref } from 'vue'
import { mdiClose, mdiFileUploadOutline } from '@mdi/js'
import { localDay, localTime } from '#core/calendar/local-day'
import { readMoment } from '#core/readings/read-moment'
import { type Celsius, type Milliseconds, MS_PER_DAY } from '#core/units/quantities'
import { runReadingsInput, type RunView } from '#shared/contracts/smoke'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useDraft } from '~/composables/use-draft'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useReadingsFile } from '~/composables/use-readings-file'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

/** Readings by hand, row after row with Enter, or from a logger's file; sent together. */
const props = defineProps<{ run: RunView; phase: 'smoke' | 'cool'; nowMs: Milliseconds }>()
const emit = defineEmits<{ saved: [] }>()
const session = useSession()
const { as, number, clock } = useNotation()
const recorded = useRecorded()
const { save, saving, message, errorAt, forget } = useSave<{ added: number }>(runReadingsInput)
const { read, busy } = useReadingsFile()
const newRow = () => ({ time: localTime(props.nowMs, session.zone), chamber: '', core: '' })
const { draft, clear } = useDraft(`readings-${props.run.code}-${props.phase}`, () => ({ rows: [newRow()] }))
const refused = ref('')
const picker = ref<HTMLInputElement | null>(null)
const options = () => ({
  zone: session.zone,
  dayFirst: as.value.dates !== 'mdy',
  onDate: localDay(props.nowMs, session.zone),
  unit: as.value.temperature,
})
const typed = (text: string) => (text.trim() === '' ? null : { typed: text, unit: as.value.temperature })

async function addRow(): Promise<void> {
  draft.value.rows.push(newRow())
  await nextTick()
  document.querySelector<HTMLInputElement>('.grid tbody tr:last-child input.first')?.focus()
}
function fieldsAfter(event: KeyboardEvent): void {
  const inputs = [...document.querySelectorAll<HTMLInputElement>('.grid input')]
  const at = inputs.indexOf(event.target as HTMLInputElement)
  const next = inputs[at + 1]
  if (next) next.focus()
  else void addRow()
}
async function record(): Promise<void> {
  refused.value = ''
  const rows = draft.value.rows.filter(row => row.chamber.trim() || row.core.trim())
  const times = rows.map(row => readMoment(row.time, options()))
  const wrong = times.findIndex(ms => ms === null)
  if (wrong >= 0) {
    refused.value = `Row ${wrong + 1}: “${rows[wrong]!.time}” is not a time. Write it like 14:05.`
    return
  }
  // A clock time later than now was yesterday's.
  const atMs = times.map(ms => (ms! > props.nowMs + READING_AHEAD_MS ? ms! - MS_PER_DAY : ms!))
  const body = {
    phase: props.phase,
    source: 'hand',
    readings: rows.map((row, i) => ({ atMs: atMs[i]!, chamber: typed(row.chamber), core: typed(row.core) })),
  }
  await send(body, clear)
}
async function send(body: unknown, after: () => void): Promise<void> {
  const done = await save(`/api/runs/${props.run.code}/readings`, body)
  if (!done) return
  after()
  recorded(
    `${props.run.code}: ${done.added} ${done.added === 1 ? 'reading' : 'readings'} recorded.`,
    done.eventId,
    async () => emit('saved'),
  )
  emit('saved')
}
async function takeFile(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  refused.value = ''
  forget()
  const found = await read(file, options())
  if (!found.ok) {
    refused.value = wordsFor(found.code, found.params, as.value)
    return
  }
  const celsius = (tempC: Celsius | null) => (tempC === null ? null : { typed: number(tempC, 2), unit: 'C' as const })
  await send(
    {
      phase: props.phase,
      source: 'csv',
      readings: found.value.map(r => ({ atMs: r.atMs, chamber: celsius(r.chamberC), core: celsius(r.coreC) })),
    },
    () => {},
  )
}
</script>

<template>
  <section class="stack-tight" :aria-label="phase === 'smoke' ? 'Enter smoke readings' : 'Enter cooling readings'">
    <div class="row spread">
      <h3>{{ phase === 'smoke' ? 'Readings in the smoker' : 'Readings while it cools' }}</h3>
      <VBtn
        variant="outlined"
        :prepend-icon="mdiFileUploadOutline"
        :loading="busy"
        @click="picker?.click()"
      >
        From a logger's CSV
      </VBtn>
      <input
        ref="picker"
        hidden
        type="file"
        accept=".csv,.txt,text/csv"
        aria-label="Logger's CSV file"
        @change="takeFile"
      />
    </div>
    <table class="grid">
      <thead>
        <tr>
          <th scope="col">Time</th>
          <th v-if="phase === 'smoke'" scope="col">Chamber °{{ as.temperature }}</th>
          <th scope="col">Core °{{ as.temperature }}</th>
          <th><span class="visually-hidden">Take off</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, i) in draft.rows" :key="i">
          <td>
            <input
              v-model="row.time"
              :aria-label="`Time, row ${i + 1}`"
              autocomplete="off"
              maxlength="30"
              @keydown.enter.prevent="fieldsAfter"
            />
          </td>
          <td v-if="phase === 'smoke'">
            <input
              v-model="row.chamber"
              class="first"
              :aria-label="`Chamber, row ${i + 1}`"
              inputmode="decimal"
              autocomplete="off"
              maxlength="12"
              @keydown.enter.prevent="fieldsAfter"
            />
          </td>
          <td>
            <input
              v-model="row.core"
              :class="{ first: phase === 'cool' }"
              :aria-label="`Core, row ${i + 1}`"
              inputmode="decimal"
              autocomplete="off"
              maxlength="12"
              @keydown.enter.prevent="fieldsAfter"
            />
          </td>
          <td>
            <VBtn
              v-if="draft.rows.length > 1"
              variant="text"
              :icon="mdiClose"
              :aria-label="`Take row ${i + 1} off`"
              @click="draft.rows.splice(i, 1)"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="errorAt('readings')" class="caution grave" role="alert">{{ errorAt('readings') }}</p>
    <SaveProblem :message="refused || message" />
    <div class="row">
      <VBtn color="primary" data-key="r" :loading="saving" @click="record">Record readings</VBtn>
      <VBtn variant="outlined" @click="addRow">Another row</VBtn>
      <span class="small soft">It is {{ clock(nowMs) }}. Enter goes on to the next field, and past the last one to a new row.</span>
    </div>
  </section>
</template>

<style scoped>
.grid {
  border-collapse: collapse;
  width: 100%;
  max-width: 560px;
}
th {
  text-align: left;
  font-size: 0.86rem;
  color: var(--soft);
  font-weight: 600;
  padding: 0.2rem 0.5rem;
}
td {
  padding: 0;
  border: 1px solid var(--hair-strong);
  background: var(--sheet);
}
td:last-child {
  border: 0;
  background: none;
  width: 52px;
}
input {
  width: 100%;
  min-height: 52px;
  padding: 0 0.7rem;
  font: 600 1.15rem var(--sans);
  font-variant-numeric: tabular-nums;
  color: inherit;
  background: none;
  border: 0;
}
input:focus {
  outline: 3px solid var(--heather);
  outline-offset: -3px;
}
</style>
