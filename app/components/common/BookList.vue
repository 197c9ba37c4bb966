<script setup lang="ts">
import { computed, ref } from 'vue'
import type { EventView } from '#shared/contracts/events'
import CorrectPress from './CorrectPress.vue'
import InstrumentNote from './InstrumentNote.vue'
import LotCode from './LotCode.vue'
import RecordDetail from './RecordDetail.vue'
import StateMark from './StateMark.vue'
import VoidButton from './VoidButton.vue'
import { formatSpan } from '#core/units/format-span'
import { eventWords } from '~/words/event-words'
import { useNotation } from '~/composables/use-notation'

/**
 * Records as the book has them: when, who, where, what. A correction prints both values, a void the record and its
 * void.
 */
const props = defineProps<{ events: EventView[]; withSubjects?: boolean }>()
const emit = defineEmits<{ changed: [] }>()
const { moment, as } = useNotation()
/** Twice a day for weeks, they would bury the rest; one press shows them. */
const withFridge = ref(false)
/** A reading of a fridge, or of any place. */
const isReading = ({ kind }: EventView) => kind === 'fridge_read' || kind === 'place_read'
const isPress = (event: EventView): event is EventView<'step'> => event.kind === 'step' && 'happenedMs' in event.computed
const fridgeCount = computed(() => props.events.filter(event => isReading(event)).length)
const opened = ref(new Set<number>())
const shown = computed(() =>
  withFridge.value ? props.events : props.events.filter(event => !isReading(event)),
)
const allOpen = computed(() => shown.value.length > 0 && shown.value.every(event => opened.value.has(event.id)))
function toggle(id: number): void {
  opened.value = opened.value.has(id)
    ? new Set([...opened.value].filter(one => one !== id))
    : new Set([...opened.value, id])
}
function toggleAll(): void {
  opened.value = new Set(allOpen.value ? [] : shown.value.map(event => event.id))
}
</script>

<template>
  <section aria-labelledby="book-head">
    <div class="ruled-head">
      <h2 id="book-head">The book</h2>
      <div class="row no-print">
        <VBtn v-if="fridgeCount" class="slim" variant="text" @click="withFridge = !withFridge">
          {{ withFridge ? 'Without' : 'With' }} {{ fridgeCount }} temperature readings
        </VBtn><VBtn v-if="events.length && !withSubjects" class="slim" variant="text" @click="toggleAll">
          {{
            allOpen ? 'Sentences only' : 'Every figure of each record'
          }}
        </VBtn>
      </div>
    </div>
    <p v-if="!events.length" class="empty">No record yet.</p>
    <div v-else class="scroll-x">
      <table class="ruled slips">
        <thead>
          <tr>
            <th scope="col">No.</th>
            <th scope="col">When</th>
            <th scope="col">Who</th>
            <th scope="col">Where</th>
            <th scope="col">What</th>
            <th v-if="withSubjects" scope="col">About</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="event in shown" :key="event.id">
            <tr :class="{ voided: event.voided }">
              <td>
                <button
                  type="button"
                  class="number"
                  :aria-expanded="opened.has(event.id)"
                  :aria-label="`Record ${event.id}, every figure`"
                  @click="toggle(event.id)"
                >
                  {{ event.id }}
                </button>
              </td>
              <td class="when">{{ moment(event.atMs) }}</td>
              <td>
                <abbr :title="event.who">{{ event.initials }}</abbr>
              </td>
              <td class="soft small where">{{ event.station }}</td>
              <td>
                <span class="words">{{ eventWords(event, as) }}</span><span v-if="event.reason" class="soft">
                  Why: {{ event.reason }}</span>
                <span v-if="event.voidsId" class="soft"> It was record {{ event.voidsId }}.</span>
                <span v-if="event.voided" class="mark">Voided by record {{ event.voided.id }},
                  {{ event.voided.who }}, {{ moment(event.voided.atMs) }}:
                  {{ event.voided.reason }}</span>
                <StateMark v-if="event.clockBehindMs" tone="watch">
                  clock {{ formatSpan(event.clockBehindMs) }} behind the record before
                </StateMark>
                <InstrumentNote v-for="mark in event.marks" :key="mark.id" :mark="mark" />
                <CorrectPress v-if="isPress(event) && !event.voided" :event="event" @corrected="emit('changed')" />
                <VoidButton :event="event" @voided="emit('changed')" />
              </td>
              <td v-if="withSubjects">
                <span v-for="code in event.subjects.slice(0, 4)" :key="code" class="mr-2">
                  <LotCode :code="code" /></span>
                <span v-if="event.subjects.length > 4" class="soft">and {{ event.subjects.length - 4 }} more</span>
              </td>
            </tr>
            <tr v-if="opened.has(event.id)">
              <td :colspan="withSubjects ? 6 : 5"><RecordDetail :event="event" /></td>
            </tr>
          </template>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.number {
  min-width: 44px;
  min-height: 28px;
  padding: 0;
  border: 0;
  background: none;
  font: inherit;
  color: var(--soft);
  text-align: left;
  text-decoration: underline dotted;
  text-underline-offset: 3px;
  cursor: pointer;
}
.when,
.where {
  white-space: nowrap;
}
.voided .words {
  text-decoration: line-through;
  text-decoration-thickness: 1.5px;
}
.mark {
  display: block;
  border-left: 4px solid var(--straw);
  padding-left: 0.5rem;
  margin-top: 0.15rem;
}
abbr {
  text-decoration: none;
  font-weight: 600;
}
/* A record on a phone is a slip: number, time and who on one line, what and about beneath, nothing beside the edge. */
@media (--phone) {
  tr,
  td {
    display: block;
  }
  td:nth-child(-n + 4) {
    display: inline-block;
    margin-right: 0.8rem;
  }
  .number {
    min-height: 44px;
  }
}
</style>
