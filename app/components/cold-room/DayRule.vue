<script setup lang="ts">
import { addDays } from '#core/calendar/local-day'
import { useNotation } from '~/composables/use-notation'

/** The calendar over the twines: one column a day, today marked. */
const props = defineProps<{ width: number; first: string; count: number; today: string }>()
const { date } = useNotation()
const weekday = (iso: string) =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'short', timeZone: 'UTC' }).format(Date.parse(`${iso}T12:00Z`))
const dayAt = (i: number) => addDays(props.first, i)
</script>

<template>
  <ol :style="{ gridTemplateColumns: `repeat(${count}, 1fr)`, width: `${width}px` }">
    <li v-for="i in count" :key="i" :class="{ today: dayAt(i - 1) === today }">
      <span class="name">{{ dayAt(i - 1) === today ? 'Today' : weekday(dayAt(i - 1)) }}</span>
      <span class="small">{{
        date(dayAt(i - 1))
          .replace(/[^0-9]*(\d+)[^0-9]*$/, '$1')
          .slice(-2)
      }}</span>
    </li>
  </ol>
</template>

<style scoped>
ol {
  display: grid;
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  text-align: center;
  display: grid;
  color: var(--soft);
  padding: 0.3rem 0;
  font-size: 0.86rem;
}
.today {
  color: var(--peat);
  font-weight: 700;
  background: linear-gradient(var(--sheet), var(--sheet)) center / 100% no-repeat;
  box-shadow: inset 0 -4px 0 var(--heather);
}
</style>
