<script setup lang="ts">
import { computed } from 'vue'
import type { Task } from '#core/today/task'
import type { RunSummary } from '#shared/contracts/cold-room'
import { wordList } from '#core/lists/word-list'
import type { LotSummary } from '#shared/contracts/lots'
import type { PlaceView } from '#shared/contracts/places'
import { taskPress } from '~/logic/task-press'
import { useNotation } from '~/composables/use-notation'
import { WHERE } from '~/words/task-words'
import AskPlan from './AskPlan.vue'
import TaskRow from './TaskRow.vue'

const props = defineProps<{ tasks: Task[]; lots: LotSummary[]; runs: RunSummary[]; places: PlaceView[] }>()
const { meat } = useNotation()

/** Where pieces lie, by name; nowhere for what is in a heat. */
const whereOf = (lot: LotSummary, pieces: Task['pieces']) => {
  const ids = new Set(lot.pieces.flatMap(piece => (!pieces || pieces.includes(piece.id) ? (piece.placeId ?? []) : [])))
  return wordList(props.places.flatMap(place => (ids.has(place.id) ? place.name : [])))
}
const lotOf = (task: Task) => props.lots.find(lot => lot.code === task.subject)
const detail = ({ subject, pieces }: Task): string => {
  const lot = props.lots.find(l => l.code === subject)
  const numbers = lot?.pieces.filter(piece => pieces?.includes(piece.id)).map(piece => piece.number) ?? []
  if (lot) {
    const what = numbers.length > 0 ? `${numbers.length === 1 ? 'piece' : 'pieces'} ${numbers.join(', ')}` : `${lot.pieces.length} pieces, ${meat(lot.greenG)}`
    return [lot.cut, what, whereOf(lot, pieces)].filter(Boolean).join(', ')
  }
  const run = props.runs.find(r => r.code === subject)
  return run ? `${run.smoker}, ${run.lots.join(' and ')}` : ''
}
const rooms = computed(() =>
  ['Bench', 'Cold room', 'Smokehouse', 'Slicing table']
    .map(room => ({ room, tasks: props.tasks.filter(task => WHERE[task.kind].room === room) }))
    .filter(group => group.tasks.length),
)
</script>

<template>
  <section class="stack" aria-labelledby="now">
    <h2 id="now">To do now</h2>
    <p v-if="!tasks.length" class="empty">Nothing is due. The next turns are shown when their day comes.</p>
    <div v-for="group in rooms" :key="group.room">
      <h3>{{ group.room }}</h3>
      <ul>
        <li v-for="(task, i) in group.tasks" :key="`${task.kind} ${task.subject} ${i}`">
          <AskPlan v-if="task.kind === 'ask_plan'" :lot="lotOf(task)!" />
          <TaskRow v-else :task="task" :detail="detail(task)" :press="taskPress(task, lotOf(task))" :lot="lotOf(task)" />
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
</style>
