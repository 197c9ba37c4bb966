<script setup lang="ts">
import { computed } from 'vue'
import { NuxtLink } from '#components'
import type { Task, TaskKind } from '#core/today/tasks'
import type { RunSummary } from '#shared/contracts/cold-room'
import type { LotSummary } from '#shared/contracts/lots'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'

const props = defineProps<{ tasks: Task[]; lots: LotSummary[]; runs: RunSummary[] }>()
const { clock, meat } = useNotation()

const WHERE: Record<TaskKind, { room: string; to: (subject: string) => string; words: string }> = {
  turn: { room: 'Cold room', to: code => `/cold-room#${code}`, words: 'Turn all pieces' },
  second_half: { room: 'Bench', to: code => `/lots/${code}`, words: 'Second application' },
  end_cure: { room: 'Cold room', to: code => `/cold-room#${code}`, words: 'Ready: take out and rinse' },
  read_place: { room: 'Cold room', to: () => '/cold-room', words: 'Read the temperature' },
  read_smoke: { room: 'Smokehouse', to: code => `/runs/${code}`, words: 'Read chamber and core' },
  read_cooling: { room: 'Smokehouse', to: code => `/runs/${code}`, words: 'Read the cooling core' },
  smoke: { room: 'Smokehouse', to: () => '/smokehouse', words: 'Dry, then smoke' },
  go_on: { room: 'Smokehouse', to: () => '/smokehouse', words: 'Smoke again, or slice' },
  slice: { room: 'Slicing table', to: code => `/slicing-table?lot=${code}`, words: 'Slice and pack' },
  send: { room: 'Slicing table', to: () => '/slicing-table#send', words: 'Packs to send' },
}
const detail = (subject: string): string => {
  const lot = props.lots.find(l => l.code === subject)
  if (lot) return `${lot.cut}, ${lot.pieces.length} pieces, ${meat(lot.greenG)}`
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
        <li v-for="task in group.tasks" :key="task.kind + task.subject">
          <NuxtLink :to="WHERE[task.kind].to(task.subject)">
            <span class="what">{{ WHERE[task.kind].words }}</span>
            <span class="who"><span :class="{ code: /^[A-Z]-/.test(task.subject) }">{{ task.subject }}</span>{{ ' ' }}<span class="soft small">{{ detail(task.subject) }}</span></span>
            <span class="when">
              <StateMark v-if="task.late" tone="act">{{
                task.byMs
                  ? `late, by ${clock(task.byMs)}`
                  : task.kind === 'second_half'
                    ? 'drained over a day ago'
                    : 'past best by'
              }}</StateMark>
              <template v-else>{{ task.byMs ? `by ${clock(task.byMs)}` : 'today' }}</template>
            </span>
          </NuxtLink>
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
li a {
  display: grid;
  grid-template-columns: 12.5rem minmax(0, 1fr) auto;
  align-items: center;
  gap: 0.1rem 0.75rem;
  min-height: 50px;
  border-bottom: 1px solid var(--hair);
  text-decoration: none;
  padding: 0.15rem 0.35rem;
}
li a:hover {
  background: var(--sheet);
}
.what {
  font-weight: 600;
}
.who {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.when {
  text-align: right;
  white-space: nowrap;
}
@media (--phone) {
  li a {
    grid-template-columns: minmax(0, 1fr) auto;
    min-height: 64px;
  }
  .who {
    grid-row: 2;
    grid-column: 1 / -1;
  }
}
</style>
