<script setup lang="ts">
import { computed, ref } from 'vue'
import { mdiChevronDown, mdiChevronUp } from '@mdi/js'
import type { ComingDay } from '#core/today/coming-days'
import type { LotSummary } from '#shared/contracts/lots'
import type { PlaceView } from '#shared/contracts/places'
import { useNotation } from '~/composables/use-notation'
import { inShort } from './in-short'
import WeekWork from './WeekWork.vue'

/** The days to come at a glance; a tap on a day says of each thing which pieces, where, by when and why. */
const props = defineProps<{ week: ComingDay[]; lots: LotSummary[]; places: PlaceView[] }>()
const { as, date } = useNotation()
const open = ref<string[]>([])
const weekday = (iso: string) =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'short', timeZone: 'UTC' }).format(Date.parse(`${iso}T12:00Z`))
const days = computed(() =>
  props.week.map((day, i) => ({
    ...day,
    name: i === 0 ? 'Today' : weekday(day.date),
    short: inShort(day, as.value),
    isOpen: open.value.includes(day.date),
  })),
)
function toggle(iso: string): void {
  open.value = open.value.includes(iso) ? open.value.filter(one => one !== iso) : [...open.value, iso]
}
</script>

<template>
  <section aria-labelledby="week">
    <h2 id="week">This week</h2>
    <ol>
      <li v-for="day in days" :key="day.date">
        <button
          type="button"
          :disabled="day.work.length === 0"
          :aria-expanded="day.isOpen"
          :aria-controls="`day-${day.date}`"
          @click="toggle(day.date)"
        >
          <span class="day"><strong>{{ day.name }}</strong>{{ ' ' }}<span class="soft small">{{ date(day.date) }}</span></span>
          <span class="what">
            <span v-for="words in day.short" :key="words" class="small">{{ words }}</span>
            <span v-if="!day.short.length" class="soft">–</span>
          </span>
          <VIcon v-if="day.work.length" :icon="day.isOpen ? mdiChevronUp : mdiChevronDown" size="20" aria-hidden="true" />
        </button>
        <WeekWork v-if="day.isOpen" :id="`day-${day.date}`" :work="day.work" :lots="lots" :places="places" />
      </li>
    </ol>
  </section>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  border-bottom: 1px solid var(--hair);
}
button {
  display: grid;
  grid-template-columns: 7.4rem minmax(0, 1fr) 1.4rem;
  align-items: center;
  width: 100%;
  min-height: 34px;
  padding: 0.15rem 0;
  text-align: left;
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
}
button:not(:disabled) {
  cursor: pointer;
}
button:not(:disabled):hover {
  background: var(--sheet);
}
.what {
  display: flex;
  flex-wrap: wrap;
  gap: 0 1rem;
  line-height: 1.3;
}
@media (--tablet) {
  button {
    min-height: 56px;
  }
}
</style>
