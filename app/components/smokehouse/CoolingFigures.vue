<script setup lang="ts">
import { COOLING_MIDDLE_C } from '#core/rules/guideline'
import type { RunView } from '#shared/contracts/smoke'
import LotCode from '~/components/common/LotCode.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'
import { coolingRuleWords, coolingSaid, coolingTookWords, sourceWords } from './run-words'

type Lot = RunView['lots'][number]

/** Cooling of each lot by its own nitrite: two lots in one smoke may have two answers. */
defineProps<{ lots: (Lot & { cooling: NonNullable<Lot['cooling']> })[]; ruleSetId: string }>()
const { as, limit } = useNotation()
</script>

<template>
  <div class="wide">
    <dt>Cooling, by each lot's own nitrite</dt>
    <dd>
      <ul>
        <li v-for="lot in lots" :key="lot.code">
          <LotCode :code="lot.code" />
          <span>{{ coolingRuleWords(lot, lot.cooling, as) }}</span>
          <span v-if="coolingTookWords(lot.cooling)" class="soft small">{{ coolingTookWords(lot.cooling) }}</span>
          <StateMark :tone="coolingSaid(lot.cooling).tone">{{ coolingSaid(lot.cooling).words }}</StateMark>
        </li>
      </ul>
      <span class="small soft">
        {{ sourceWords(ruleSetId, 'FSIS stabilization guideline, Appendix B (2021)') }}. Before leaving for the night:
        see the core at {{ limit(COOLING_MIDDLE_C) }} or less; a night without readings shows nothing.
      </span>
    </dd>
  </div>
</template>

<style scoped>
.wide {
  grid-column: 1 / -1;
}
dt {
  color: var(--soft);
  font-size: 0.9rem;
}
dd {
  margin: 0;
  display: grid;
  gap: 0.15rem;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  width: 100%;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 1rem;
  align-items: center;
  padding: 0.3rem 0;
  border-bottom: 1px solid var(--hair);
}
</style>
