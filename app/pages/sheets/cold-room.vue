<script setup lang="ts">
import { computed, onMounted } from 'vue'
import { addDays, localDay } from '#core/calendar/local-day'
import { comingDays } from '#core/today/coming-days'
import SheetHead from '~/components/sheets/SheetHead.vue'
import LoadProblem from '~/components/common/LoadProblem.vue'
import { lyingOf } from '~/components/cold-room/lying'
import SheetPlace from '~/components/cold-room/SheetPlace.vue'
import { useClock } from '~/composables/use-clock'
import { useNotation } from '~/composables/use-notation'
import { useFloor } from '~/stores/floor'
import { useSession } from '~/stores/session'

/** What lies where, with today's and tomorrow's work and the stacks drawn, to hang on the door. */
const floor = useFloor()
const session = useSession()
const nowMs = useClock()
const { date, clock } = useNotation()
const today = computed(() => localDay(nowMs.value, session.zone))
const days = computed(() => comingDays(floor.lots, nowMs.value, session.zone, 2))
const places = computed(() =>
  (floor.view?.places ?? [])
    .map(place => ({ place, lying: lyingOf(place.id, floor.lots) }))
    .filter(({ lying }) => lying.curing.length + lying.others.length > 0),
)
onMounted(floor.load)
</script>

<template>
  <div>
    <SheetHead title="Cold-room sheet">
      {{ date(today) }}, {{ clock(nowMs) }}. Today and {{ date(addDays(today, 1)) }}. What is done on paper is told late in
      the Cold room, with its hour.
    </SheetHead>
    <LoadProblem v-if="floor.problem && !floor.view" :problem="floor.problem" @again="floor.load" />
    <p v-else-if="!floor.view" class="empty">Reading the book…</p>
    <p v-else-if="!places.length" class="empty">Nothing lies anywhere. Rub a lot on the Bench.</p>
    <SheetPlace v-for="{ place, lying } in places" v-else :key="place.id" :place="place" :lying="lying" :days="days" :now-ms="nowMs" />
  </div>
</template>
