<script setup lang="ts">
import { computed, ref } from 'vue'
import type { EventView } from '#shared/contracts/events'
import LotCode from './LotCode.vue'
import { eventWords } from '~/composables/event-words'
import { useNotation } from '~/composables/use-notation'

/** Records as the book has them: when, who, what; a correction prints both values. */
const props = defineProps<{ events: EventView[], withSubjects?: boolean }>()
const { moment, as } = useNotation()
/** Twice a day for weeks, they would bury the rest; one press shows them. */
const withFridge = ref(false)
const fridgeCount = computed(() => props.events.filter(event => event.kind === 'fridge_read').length)
const shown = computed(() => withFridge.value ? props.events : props.events.filter(event => event.kind !== 'fridge_read'))
</script>

<template>
  <section aria-labelledby="book-head">
    <div class="row spread head"><h2 id="book-head">The book</h2><VBtn v-if="fridgeCount" variant="text" class="no-print" @click="withFridge = !withFridge">{{ withFridge ? 'Without' : 'With' }} {{ fridgeCount }} fridge readings</VBtn></div>
    <p v-if="!events.length" class="empty">No record yet.</p>
    <div v-else class="scroll-x">
      <table class="ruled">
        <thead><tr><th scope="col">No.</th><th scope="col">When</th><th scope="col">Who</th><th scope="col">What</th><th v-if="withSubjects" scope="col">About</th></tr></thead>
        <tbody>
          <tr v-for="event in shown" :key="event.id">
            <td class="soft">{{ event.id }}</td>
            <td class="when">{{ moment(event.atMs) }}</td>
            <td><abbr :title="event.who">{{ event.initials }}</abbr></td>
            <td>{{ eventWords(event, as) }}<span v-if="event.reason" class="soft"> Why: {{ event.reason }}</span></td>
            <td v-if="withSubjects"><span v-for="code in event.subjects.slice(0, 4)" :key="code" class="mr-2"><LotCode :code="code" /></span><span v-if="event.subjects.length > 4" class="soft">and {{ event.subjects.length - 4 }} more</span></td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.head { border-bottom: 2px solid var(--peat); } .head h2 { border: 0; }
.when { white-space: nowrap; } abbr { text-decoration: none; font-weight: 600; }
</style>
