<script setup lang="ts">
import { computed, onMounted } from 'vue'
import { localDay } from '#core/calendar/local-day'
import { comingDays } from '#core/today/coming-days'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PageHead from '~/components/common/PageHead.vue'
import ComingWeek from '~/components/today/ComingWeek.vue'
import FirstSteps from '~/components/today/FirstSteps.vue'
import NotRight from '~/components/today/NotRight.vue'
import TaskList from '~/components/today/TaskList.vue'
import { freeWords } from '~/words/free-words'
import { useClock } from '~/composables/use-clock'
import { useTasks } from '~/composables/use-tasks'
import { useNotation } from '~/composables/use-notation'
import { useFloor } from '~/stores/floor'
import { useSession } from '~/stores/session'

const DAYS_SHOWN = 7
const floor = useFloor()
const session = useSession()
const nowMs = useClock()
const { date, clock } = useNotation()
const tasks = useTasks()
const week = computed(() => comingDays(floor.lots, nowMs.value, session.zone, DAYS_SHOWN))
const heading = computed(() =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'long', timeZone: session.zone }).format(nowMs.value),
)
onMounted(floor.load)
</script>

<template>
  <div>
    <PageHead
      title="Today"
      :sub="`${heading}, ${date(localDay(nowMs, session.zone))}, ${clock(nowMs)} on the shop's clock`"
    />
    <LoadProblem v-if="floor.problem && !floor.view" :problem="floor.problem" @again="floor.load" />
    <p v-else-if="!floor.view" class="empty">Reading the book…</p>
    <div v-else class="stack">
      <FirstSteps v-if="!floor.view.first.packed && session.mayWrite" :view="floor.view" />
      <p v-if="!floor.view.first.lot && !session.mayWrite" class="empty">
        No lot yet. The makers begin in the Store and on the Bench.
      </p>
      <div v-if="floor.view.first.lot" class="today">
        <TaskList :tasks="tasks" :lots="floor.lots" :runs="floor.view.runs" :places="floor.view.places" :now-ms="nowMs" />
        <div class="stack">
          <NotRight
            :free-bytes="floor.view.freeBytes"
            :instruments="floor.view.instruments"
            :store="floor.view.store"
            :lots="floor.lots"
            :places="floor.view.places"
            :now-ms="nowMs"
          />
          <ComingWeek :week="week" :lots="floor.lots" :places="floor.view.places" />
        </div>
      </div>
      <p v-if="floor.view.freeBytes !== null && session.isOwner" class="small soft">
        {{ freeWords(floor.view.freeBytes) }} free on the shop's disk.
      </p>
    </div>
  </div>
</template>

<style scoped>
.today {
  display: grid;
  grid-template-columns: minmax(0, 7fr) minmax(0, 5fr);
  gap: 2.5rem;
}
@media (--tablet) {
  .today {
    grid-template-columns: minmax(0, 1fr);
    gap: 1.6rem;
  }
}
</style>
