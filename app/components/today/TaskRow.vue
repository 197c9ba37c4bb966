<script setup lang="ts">
import { computed } from 'vue'
import { NuxtLink } from '#components'
import type { Task } from '#core/today/task'
import type { LotSummary } from '#shared/contracts/lots'
import WhyAgainst from '~/components/common/WhyAgainst.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import StateMark from '~/components/common/StateMark.vue'
import { usePress } from '~/components/steps/use-press'
import { useNotation } from '~/composables/use-notation'
import type { PlanPress } from '~/logic/plan-press'
import { useFloor } from '~/stores/floor'
import { useSession } from '~/stores/session'
import { whyWords } from '~/words/due-words'
import { taskWords, WHERE } from '~/words/task-words'

/** One thing to do: where, which pieces, by when and why; where one tap is enough, the tap. */
const props = defineProps<{ task: Task; detail: string; lot: LotSummary | undefined; press: PlanPress | null }>()
const floor = useFloor()
const session = useSession()
const { as, clock } = useNotation()
const { press: send, insist, insistWords, because, problem, forget, saving, message } = usePress()
const why = computed(() => (props.task.because ? whyWords(props.task.because, as.value) : ''))
const late = computed(() => {
  if (props.task.byMs !== null) return `late, by ${clock(props.task.byMs)}`
  return props.task.kind === 'second_half' ? 'drained over a day ago' : 'late'
})
async function done(): Promise<void> {
  const { lot, press, task } = props
  if (!lot || !press) return
  const all = lot.pieces.map(piece => piece.id)
  floor.apply((await send([{ code: lot.code, pieces: task.pieces ? [...task.pieces] : null, all }], press.steps, press.words)) ?? [])
}
const goAgainst = async (reason: string) => floor.apply((await because(reason)) ?? [])
const goOn = async () => floor.apply((await insist()) ?? [])
</script>

<template>
  <div class="task">
    <NuxtLink :to="WHERE[task.kind].to(task.subject)">
      <span class="what">{{ taskWords(task, as) }}</span>
      <span class="who">
        <span :class="{ code: /^[A-Z]-/.test(task.subject) }">{{ task.subject }}</span>{{ ' ' }}
        <span class="soft small">{{ detail }}{{ why ? `: ${why}` : '' }}</span></span>
      <span class="when">
        <StateMark v-if="task.late" tone="act">{{ late }}</StateMark>
        <template v-else>{{ task.byMs ? `by ${clock(task.byMs)}` : 'today' }}</template>
      </span>
    </NuxtLink>
    <VBtn
      v-if="press && session.mayWrite"
      variant="outlined"
      :loading="saving"
      :aria-label="`${press.label}: ${task.subject}`"
      @click="done"
    >
      {{ press.label }}
    </VBtn>
    <div v-if="message" class="said">
      <SaveProblem :message="message" />
      <WhyAgainst :problem="problem" :saving="saving" closes @why="goAgainst" @close="forget" />
      <VBtn v-if="insistWords" variant="outlined" :loading="saving" @click="goOn">{{ insistWords }}</VBtn>
    </div>
  </div>
</template>

<style scoped>
.task {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 0 0.5rem;
  border-bottom: 1px solid var(--hair);
  padding: 0.15rem 0;
}
a {
  display: grid;
  grid-template-columns: 11.5rem minmax(0, 1fr) auto;
  align-items: center;
  gap: 0.1rem 0.75rem;
  min-height: 56px;
  text-decoration: none;
  padding: 0.15rem 0.35rem;
}
a:hover {
  background: var(--sheet);
}
.what {
  font-weight: 600;
}
.who {
  overflow: hidden;
  text-overflow: ellipsis;
}
.when {
  text-align: right;
  white-space: nowrap;
}
.said {
  grid-column: 1 / -1;
}
.v-btn {
  min-height: 56px;
  max-width: 11rem;
}
.v-btn :deep(.v-btn__content) {
  white-space: normal;
  line-height: 1.15;
}
@media (--phone) {
  .task {
    grid-template-columns: minmax(0, 1fr);
    padding-bottom: 0.3rem;
  }
  a {
    grid-template-columns: minmax(0, 1fr) auto;
    min-height: 64px;
  }
  .who {
    grid-row: 2;
    grid-column: 1 / -1;
  }
  .v-btn {
    max-width: none;
  }
}
</style>
