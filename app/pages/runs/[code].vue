<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from '#imports'
import type { RunView } from '#shared/contracts/smoke'
import LoadProblem from '~/components/common/LoadProblem.vue'
import LotCode from '~/components/common/LotCode.vue'
import PageHead from '~/components/common/PageHead.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import StateMark from '~/components/common/StateMark.vue'
import BookList from '~/components/common/BookList.vue'
import ReadingGrid from '~/components/smokehouse/ReadingGrid.vue'
import ReadingTable from '~/components/smokehouse/ReadingTable.vue'
import RunFigures from '~/components/smokehouse/RunFigures.vue'
import SmokeLine from '~/components/smokehouse/SmokeLine.vue'
import { useClock } from '~/composables/use-clock'
import { useLoaded } from '~/api/use-loaded'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

const route = useRoute()
const session = useSession()
const nowMs = useClock()
const { moment, temperature, limit } = useNotation()
const recorded = useRecorded()
const { save, saving, message } = useSave()
const { view: run, problem, load } = useLoaded<RunView>(() => `/api/runs/${encodeURIComponent(String(route.params.code))}`)
const sub = computed(() =>
  run.value
    ? `${run.value.smoker}, started ${moment(run.value.startedAtMs)} by ${run.value.startedBy}; `
    + `target core ${temperature(run.value.targetCoreC)}`
    : '',
)

async function pull(): Promise<void> {
  const done = await save(`/api/runs/${run.value!.code}/pull`, {})
  if (!done) return
  recorded(`${run.value!.code} is pulled. Now the cooling counts.`, done.eventId, load)
  await load()
}
</script>

<template>
  <div>
    <LoadProblem v-if="problem" :problem="problem" @again="load" />
    <p v-else-if="!run" class="empty">Reading the book…</p>
    <div v-else class="stack">
      <PageHead title="Smoke" :code="run.code" :sub="sub">
        <StateMark :tone="run.pulledAtMs ? 'good' : 'watch'">
          {{
            run.pulledAtMs ? `pulled ${moment(run.pulledAtMs)} by ${run.pulledBy}` : 'in the smoke'
          }}
        </StateMark>
        <VBtn v-if="!run.pulledAtMs && session.mayWrite" color="primary" :loading="saving" @click="pull">
          Pull
        </VBtn>
      </PageHead>
      <SaveProblem :message="message" />
      <p class="row lots">
        <span v-for="lot in run.lots" :key="lot.code"><LotCode :code="lot.code" /> {{ lot.cut }}, pieces {{ lot.pieces.join(', ') }}
          <StateMark v-if="lot.held" tone="held">held</StateMark></span>
      </p>
      <SmokeLine :run="run" />
      <RunFigures :run="run" />
      <p v-if="!run.pulledAtMs" class="caution">
        Fire, hot fat and carbon monoxide: never smoke in a closed room. Keep the core under {{ limit(71) }} so that fat
        does not render out. Probe the thickest lean, not fat, not air.
      </p>
      <ReadingGrid
        v-if="session.mayWrite"
        :key="run.pulledAtMs ? 'cool' : 'smoke'"
        :run="run"
        :phase="run.pulledAtMs ? 'cool' : 'smoke'"
        :now-ms="nowMs"
        @saved="load"
      />
      <ReadingTable :run="run" @corrected="load" />
      <BookList :events="run.events" @changed="load" />
    </div>
  </div>
</template>

<style scoped>
.lots {
  gap: 0.4rem 2rem;
  max-width: none;
}
</style>
