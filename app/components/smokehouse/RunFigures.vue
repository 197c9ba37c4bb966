<script setup lang="ts">
import { COOLING_MIDDLE_C, KILL_FROM_C, SALMONELLA_LOG } from '#core/rules/guideline'
import { computed, toRef } from 'vue'
import type { RunView } from '#shared/contracts/smoke'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import LotCode from '~/components/common/LotCode.vue'
import StateMark from '~/components/common/StateMark.vue'
import { formatSpan } from '#core/units/format-span'
import { useNotation } from '~/composables/use-notation'
import { useRun } from '~/composables/use-run'

const props = defineProps<{ run: RunView }>()
const { figures, byP70, p70Reached, rise, cooling, last } = useRun(toRef(props, 'run'))
const { temperature, limit, number, ppm, clock } = useNotation()
/** A guideline binds where its law holds; elsewhere the shop keeps it as a rule of its own. */
const source = (guideline: string) =>
  props.run.ruleSetId === 'us' ? guideline : `House rule, from the US guideline: ${guideline}`
const coldHours = computed(() => props.run.lots.find(lot => lot.cold && lot.cold.status !== 'none')?.cold ?? null)
const COLD_WORDS = {
  none: '',
  short: 'short enough',
  ask: 'long: ask whether it still smells and feels right',
  hold: 'too long or too warm: held',
}
const COLD_TONES = { none: 'plain', short: 'good', ask: 'watch', hold: 'act' } as const
const RISE_WORDS = {
  not_bound: 'smoked cold',
  under_way: 'under way',
  in_time: 'in time',
  late: 'too slow',
  not_shown: 'not shown: nobody knows when it left the cold',
}
const RISE_TONES = { not_bound: 'plain', under_way: 'watch', in_time: 'good', late: 'act', not_shown: 'act' } as const
const COOL_WORDS = {
  no_reading: 'no reading yet',
  under_way: 'under way',
  in_time: 'cooled in time',
  late_first: 'first stage too slow',
  late_second: 'too slow to the end',
  not_shown_first: 'not shown: too long without a reading in the first stage',
  not_shown_second: 'not shown: too long without a reading to the end',
}
const COOL_TONES = {
  no_reading: 'watch',
  under_way: 'watch',
  in_time: 'good',
  late_first: 'act',
  late_second: 'act',
  not_shown_first: 'act',
  not_shown_second: 'act',
} as const
const OUTCOMES = { heat_treated: 'heat-treated, cook before eating', raw_smoked: 'raw, smoked, cook before eating' }
</script>

<template>
  <dl class="figures">
    <div>
      <dt>Core now</dt>
      <dd>
        <b>{{ last?.coreC != null ? temperature(last.coreC) : '–' }}</b><span class="small soft">{{ last ? `at ${clock(last.atMs)}` : ''
        }}{{ figures.hottestC !== null ? `, hottest ${temperature(figures.hottestC)}` : '' }}</span><InstrumentNote v-if="last" :mark="last.core" :offset-c="last.coreOffsetC" :read-c="last.coreC" />
      </dd>
    </div>
    <div>
      <dt>Salmonella credit</dt>
      <dd>
        <b>{{ number(Math.min(figures.log, 99), 1) }} log</b><StateMark :tone="figures.lethal ? 'good' : 'watch'">
          {{
            figures.lethal ? `${number(SALMONELLA_LOG, 1)} log reached` : `of ${number(SALMONELLA_LOG, 1)} wanted`
          }}
        </StateMark><span class="small soft">{{ source('FSIS cooking guideline, Appendix A (2021)') }}. An estimate by straight lines.</span>
      </dd>
    </div>
    <div v-if="byP70">
      <dt>Heating, as at {{ limit(70) }}</dt>
      <dd>
        <b>{{ number(Math.min(figures.p70Min, 99), 1) }} min</b><StateMark :tone="p70Reached ? 'good' : 'watch'">
          {{
            p70Reached ? '2 min reached' : 'of 2 min wanted'
          }}
        </StateMark><span class="small soft">Practice of the rule set in force; counted from {{ limit(60) }}.</span>
      </dd>
    </div>
    <div v-if="rise">
      <dt>Come-up, {{ limit(10) }} to {{ limit(KILL_FROM_C) }}</dt>
      <dd>
        <b>{{ formatSpan(rise.elapsedMs) }}</b><StateMark :tone="RISE_TONES[rise.status]">
          {{ RISE_WORDS[rise.status]
          }}{{ rise.status === 'not_bound' ? '' : `, ${formatSpan(rise.allowedMs)} allowed` }}
        </StateMark><span class="small soft">{{ source('FSIS cooking guideline, Appendix A (2021)') }}</span>
      </dd>
    </div>
    <div v-if="coldHours">
      <dt>Smoked cold, all sessions</dt>
      <dd>
        <b>{{ formatSpan(coldHours.above[0]!.ms) }}</b><StateMark :tone="COLD_TONES[coldHours.status]">{{ COLD_WORDS[coldHours.status] }}</StateMark><span class="small soft">above {{ limit(5) }}; {{ formatSpan(coldHours.above[1]!.ms) }} above {{ limit(15) }}. House rule. It stays
          raw.</span>
      </dd>
    </div>
    <div v-if="run.outcome">
      <dt>Outcome for the label</dt>
      <dd>
        <b class="words">{{ OUTCOMES[run.outcome] }}</b><span class="small soft">No humidity option claimed, so not ready to eat.</span>
      </dd>
    </div>
    <div v-if="run.pulledAtMs && figures.heated && cooling.length" class="wide">
      <dt>Cooling, by each lot's own nitrite</dt>
      <dd>
        <ul>
          <li v-for="c in cooling" :key="c.lot.code">
            <LotCode :code="c.lot.code" />
            <span>{{ c.lot.lowPpm === null ? 'no nitrite' : `at least ${ppm(c.lot.lowPpm)}` }}:
              {{ c.rule.id === 'cured' ? 'cured' : 'not cured' }}, {{ formatSpan(c.rule.firstMs) }} to
              {{ temperature(COOLING_MIDDLE_C) }}, then {{ formatSpan(c.rule.secondMs) }} to
              {{ temperature(c.rule.endC) }}</span>
            <span v-if="c.first.longestMs !== null" class="soft small">at most {{ formatSpan(c.first.longestMs)
            }}{{ c.second.longestMs !== null ? `, then ${formatSpan(c.second.longestMs)}` : '' }}</span>
            <StateMark :tone="COOL_TONES[c.status]">{{ COOL_WORDS[c.status] }}</StateMark>
          </li>
        </ul>
        <span class="small soft">{{ source('FSIS stabilization guideline, Appendix B (2021)') }}. Before leaving for the night: see the core
          at {{ limit(COOLING_MIDDLE_C) }} or less; a night without readings shows nothing.</span>
      </dd>
    </div>
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
dt {
  color: var(--soft);
  font-size: 0.9rem;
}
dd {
  margin: 0;
  display: grid;
  justify-items: start;
  gap: 0.15rem;
}
b {
  font: 700 1.6rem/1.1 var(--slab);
  font-variant-numeric: lining-nums tabular-nums;
}
b.words {
  font-size: 1.15rem;
}
.wide dd {
  justify-items: stretch;
}
.wide {
  grid-column: 1 / -1;
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
@media (--narrow) {
  .figures {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
}
</style>
