<script setup lang="ts">
import { computed, toRef } from 'vue'
import { GROWTH_FROM_C, KILL_FROM_C, P70_AT_C, P70_FROM_C } from '#core/rules/guideline'
import { formatSpan } from '#core/units/format-span'
import type { RunView } from '#shared/contracts/smoke'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import { useNotation } from '~/composables/use-notation'
import { useRun } from '~/composables/use-run'
import CoolingFigures from './CoolingFigures.vue'
import RunFigure from './RunFigure.vue'
import { coldSaid, creditSaid, OUTCOME_WORDS, p70Said, riseSaid, sourceWords } from './run-words'

/** What a smoke comes to so far: the core, the kill, come-up, cold hours, the label's word and the cooling. */
const props = defineProps<{ run: RunView }>()
const { figures, byP70, p70Reached, rise, cooling, last } = useRun(toRef(props, 'run'))
const { as, temperature, limit, number, clock } = useNotation()
const MOST_SHOWN = 99
const shown = (figure: number) => number(Math.min(figure, MOST_SHOWN), 1)
const cooking = computed(() => sourceWords(props.run.ruleSetId, 'FSIS cooking guideline, Appendix A (2021)'))
const cold = computed(() => props.run.lots.find(lot => lot.cold && lot.cold.status !== 'none')?.cold ?? null)
const hottest = computed(() =>
  figures.value.hottestC === null ? '' : `, hottest ${temperature(figures.value.hottestC)}`,
)
</script>

<template>
  <dl class="figures">
    <RunFigure name="Core now" :figure="last?.coreC != null ? temperature(last.coreC) : '–'">
      {{ last ? `at ${clock(last.atMs)}` : '' }}{{ hottest }}
      <template v-if="last" #mark>
        <InstrumentNote :mark="last.core" :offset-c="last.coreOffsetC" :read-c="last.coreC" />
      </template>
    </RunFigure>
    <RunFigure name="Salmonella credit" :figure="`${shown(figures.log)} log`" :said="creditSaid(figures, as)">
      {{ cooking }}. An estimate by straight lines.
    </RunFigure>
    <RunFigure
      v-if="byP70"
      :name="`Heating, as at ${limit(P70_AT_C)}`"
      :figure="`${shown(figures.p70Min)} min`"
      :said="p70Said(p70Reached)"
    >
      Practice of the rule set in force; counted from {{ limit(P70_FROM_C) }}.
    </RunFigure>
    <RunFigure
      v-if="rise"
      :name="`Come-up, ${limit(GROWTH_FROM_C)} to ${limit(KILL_FROM_C)}`"
      :figure="formatSpan(rise.elapsedMs)"
      :said="riseSaid(rise)"
    >
      {{ cooking }}
    </RunFigure>
    <RunFigure
      v-if="cold"
      name="Smoked cold, all sessions"
      :figure="formatSpan(cold.above[0]!.ms)"
      :said="coldSaid(cold)"
    >
      above {{ limit(cold.above[0]!.aboveC) }}; {{ formatSpan(cold.above[1]!.ms) }} above
      {{ limit(cold.above[1]!.aboveC) }}. House rule. It stays raw.
    </RunFigure>
    <RunFigure v-if="run.outcome" name="Outcome for the label" :figure="OUTCOME_WORDS[run.outcome]" is-words>
      No humidity option claimed, so not ready to eat.
    </RunFigure>
    <CoolingFigures
      v-if="run.pulledAtMs && figures.heated && cooling.length"
      :lots="cooling"
      :rule-set-id="run.ruleSetId"
    />
  </dl>
</template>

<style scoped>
.figures {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, auto));
  gap: 1rem 2rem;
  margin: 0;
  justify-content: space-between;
}
.figures > div {
  border-top: 2px solid var(--peat);
  padding-top: 0.35rem;
  display: grid;
  justify-items: start;
  gap: 0.15rem;
  align-content: start;
}
.figures > .wide {
  justify-items: stretch;
}
@media (--narrow) {
  .figures {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
}
</style>
