<script setup lang="ts">
import { computed } from 'vue'
import type { Milliseconds } from '#core/units/quantities'
import type { Task } from '#core/today/task'
import type { RunSummary } from '#shared/contracts/cold-room'
import type { LotSummary } from '#shared/contracts/lots'
import type { PlaceView } from '#shared/contracts/places'
import { piecesWords } from '#shared/messages/pieces'
import { taskPress } from '~/logic/task-press'
import { numbersOf, whereOf } from '~/logic/where-of'
import { useNotation } from '~/composables/use-notation'
import { WHERE } from '~/words/task-words'
import AskPlan from './AskPlan.vue'
import TaskRow from './TaskRow.vue'

const props = defineProps<{ tasks: Task[]; lots: LotSummary[]; runs: RunSummary[]; places: PlaceView[]; nowMs: Milliseconds }>()
const { meat } = useNotation()

const lotOf = (task: Task) => props.lots.find(lot => lot.code === task.subject)
const detail = ({ subject, pieces }: Task): string => {
  const lot = props.lots.find(l => l.code === subject)
  if (lot) {
    const numbers = numbersOf(lot, pieces)
    const what = numbers.length > 0 ? piecesWords(numbers) : `${lot.pieces.length} pieces, ${meat(lot.greenG)}`
    return [lot.cut, what, whereOf(lot, pieces, props.places)].filter(Boolean).join(', ')
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
          <TaskRow v-else :task="task" :detail="detail(task)" :press="taskPress(task, lotOf(task), nowMs)" :lot="lotOf(task)" />
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
