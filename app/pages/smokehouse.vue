<script setup lang="ts">
import type { Milliseconds } from '#core/units/quantities'
import { computed, onMounted, ref } from 'vue'
import { NuxtLink } from '#components'
import LoadProblem from '~/components/common/LoadProblem.vue'
import LotCode from '~/components/common/LotCode.vue'
import PageHead from '~/components/common/PageHead.vue'
import StateMark from '~/components/common/StateMark.vue'
import StartRun from '~/components/smokehouse/StartRun.vue'
import { isLeft } from '#core/lots/finished'
import type { RunSummary } from '#shared/contracts/cold-room'
import { useClock } from '~/composables/use-clock'
import { formatSpan } from '#core/units/format-span'
import { useNotation } from '~/composables/use-notation'
import { isFree } from '~/logic/which-pieces'
import { useFloor } from '~/stores/floor'
import { useSession } from '~/stores/session'

const floor = useFloor()
const session = useSession()
const nowMs = useClock()
const { moment } = useNotation()
const starting = ref(false)
/** Whatever has some of its slab left; a heat followed by another blocks nothing. */
const ready = computed(() =>
  floor.lots.filter(
    lot => (!lot.packs || isLeft(lot)) && lot.pieces.some(isFree),
  ),
)
const heating = computed(() =>
  (floor.view?.places ?? []).filter(place => place.uses.includes('heat')),
)
const state = (run: { pulledAtMs: Milliseconds | null; cooled: boolean }) =>
  run.pulledAtMs === null
    ? ({ tone: 'watch', words: 'in the smoke' } as const)
    : run.cooled
      ? ({ tone: 'good', words: 'cooled' } as const)
      : ({ tone: 'act', words: 'cooling, keep reading' } as const)
onMounted(floor.load)
/** When a smoke was last read; empty for one that is long over. */
function lastRead({ lastReadingMs, pulledAtMs }: RunSummary): string {
  if (lastReadingMs !== null) return `${formatSpan(Math.max(0, nowMs.value - lastReadingMs))} ago`
  return pulledAtMs === null ? 'none yet' : '–'
}
</script>

<template>
  <div>
    <PageHead
      title="Smokehouse"
      sub="Chamber and core every quarter of an hour or so. Heating goes by the coldest core, cooling by the warmest."
    >
      <VBtn
        v-if="session.mayWrite"
        data-key="n"
        :color="starting ? undefined : 'primary'"
        :variant="starting ? 'outlined' : 'flat'"
        @click="starting = !starting"
      >
        {{ starting ? 'Put aside' : 'Start a smoke' }}
      </VBtn>
    </PageHead>
    <LoadProblem v-if="floor.problem && !floor.view" :problem="floor.problem" @again="floor.load" />
    <p v-else-if="!floor.view" class="empty">Reading the book…</p>
    <div v-else class="stack">
      <StartRun v-if="starting" :lots="ready" :places="heating" />
      <p v-if="!floor.view.runs.length" class="empty">
        No smoke yet. Take a lot out of the cure, dry it until it is tacky, then start one.
      </p>
      <div v-else class="scroll-x">
        <table class="ruled">
          <thead>
            <tr>
              <th scope="col">Smoke</th>
              <th scope="col">Smoker</th>
              <th scope="col">Lots</th>
              <th scope="col">Started</th>
              <th scope="col">Pulled</th>
              <th scope="col">Last reading</th>
              <th scope="col">State</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="run in floor.view.runs" :key="run.code">
              <td class="tall">
                <NuxtLink class="code" :to="`/runs/${run.code}`">{{ run.code }}</NuxtLink>
              </td>
              <td>{{ run.smoker }}</td>
              <td>
                <span v-for="code in run.lots" :key="code" class="mr-3"><LotCode :code="code" /></span>
              </td>
              <td>{{ moment(run.startedAtMs) }}</td>
              <td>{{ run.pulledAtMs ? moment(run.pulledAtMs) : '–' }}</td>
              <td>{{ lastRead(run) }}</td>
              <td>
                <StateMark :tone="state(run).tone">{{ state(run).words }}</StateMark>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </div>
  </div>
</template>

<style scoped>
.tall a {
  display: inline-flex;
  align-items: center;
  min-height: 48px;
  font-size: 1.1rem;
}
</style>
