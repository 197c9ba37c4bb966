<script setup lang="ts">
import { computed, onMounted } from 'vue'
import { localDay } from '#core/calendar/local-day'
import { comingDays, tasksNow } from '#core/today/tasks'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PageHead from '~/components/common/PageHead.vue'
import ComingWeek from '~/components/today/ComingWeek.vue'
import NotRight from '~/components/today/NotRight.vue'
import TaskList from '~/components/today/TaskList.vue'
import { useClock } from '~/composables/use-clock'
import { useNotation } from '~/composables/use-notation'
import { useFloor } from '~/stores/floor'
import { useSession } from '~/stores/session'

const DAYS_SHOWN = 7
const floor = useFloor()
const session = useSession()
const nowMs = useClock()
const { date, clock } = useNotation()
const tasks = computed(() => floor.view ? tasksNow(floor.view, nowMs.value) : [])
const week = computed(() => comingDays(floor.lots, nowMs.value, session.zone, DAYS_SHOWN))
const heading = computed(() => new Intl.DateTimeFormat('en-GB', { weekday: 'long', timeZone: session.zone }).format(nowMs.value))
onMounted(floor.load)
</script>

<template>
  <div>
    <PageHead title="Today" :sub="`${heading}, ${date(localDay(nowMs, session.zone))}, ${clock(nowMs)} on the shop's clock`" />
    <LoadProblem v-if="floor.problem && !floor.view" :problem="floor.problem" @again="floor.load" />
    <p v-else-if="!floor.view" class="empty">Reading the book…</p>
    <div v-else-if="!floor.lots.length" class="empty stack-tight">
      <p>No lot yet. Receive meat and curing salt in the Store, then rub the first lot on the Bench.</p>
      <div class="row"><VBtn to="/store" color="primary" class="floor">Go to the Store</VBtn></div>
    </div>
    <div v-else class="today">
      <TaskList :tasks="tasks" :lots="floor.lots" :runs="floor.view.runs" />
      <div class="stack">
        <NotRight :instruments="floor.view.instruments" :store="floor.view.store" :lots="floor.lots" :fridges="floor.view.fridges" :now-ms="nowMs" />
        <ComingWeek :week="week" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.today { display: grid; grid-template-columns: minmax(0, 7fr) minmax(0, 5fr); gap: 2.5rem; }
@media (max-width: 900px) { .today { grid-template-columns: minmax(0, 1fr); gap: 1.6rem; } }
</style>
