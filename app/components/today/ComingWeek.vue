<script setup lang="ts">
import type { ComingDay } from '#core/today/tasks'
import { dueWords } from '#shared/messages/due'
import LotCode from '~/components/common/LotCode.vue'
import { useNotation } from '~/composables/use-notation'

defineProps<{ week: ComingDay[] }>()
const { as, date } = useNotation()
/** "turn 5 lots", "pour off L-0007". */
const workWords = (kind: ComingDay['work'][number]['kind'], codes: string[]) =>
  codes.length > 2 ? `${dueWords({ kind }, as.value)}: ${codes.length} lots` : `${dueWords({ kind }, as.value)}: ${codes.join(', ')}`
const weekday = (iso: string) =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'short', timeZone: 'UTC' }).format(Date.parse(`${iso}T12:00Z`))
</script>

<template>
  <section aria-labelledby="week">
    <h2 id="week">This week</h2>
    <ol>
      <li v-for="(day, i) in week" :key="day.date">
        <span class="day"><strong>{{ i === 0 ? 'Today' : weekday(day.date) }}</strong>{{ ' ' }}<span class="soft small">{{ date(day.date) }}</span></span>
        <span class="what">
          <span v-for="code in day.ready" :key="code"><LotCode :code="code" /> ready</span>
          <span v-for="code in day.bestBy" :key="code"><LotCode :code="code" /> best by</span>
          <span v-for="{ kind, codes } in day.work" :key="kind" class="small">{{ workWords(kind, codes) }}</span>
          <span v-if="!day.ready.length && !day.bestBy.length && !day.work.length" class="soft">–</span>
        </span>
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
  display: grid;
  grid-template-columns: 8rem 1fr;
  padding: 0.34rem 0;
  border-bottom: 1px solid var(--hair);
}
.what {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 1.1rem;
}
</style>
