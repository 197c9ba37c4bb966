<script setup lang="ts">
import { computed, toRef } from 'vue'
import { COOLING_MIDDLE_C } from '#core/cooling/cooling'
import { KILL_FROM_C } from '#core/smoke/core-reading'
import { SALMONELLA_LOG } from '#core/smoke/salmonella-credit'
import type { RunView } from '#shared/contracts/smoke'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import LotCode from '~/components/common/LotCode.vue'
import StateMark from '~/components/common/StateMark.vue'
import { spanWords } from '~/composables/date-words'
import { useNotation } from '~/composables/use-notation'
import { useRun } from '~/composables/use-run'

const props = defineProps<{ run: RunView }>()
const { credit, lethal, rise, cooked, cooling, smoke, last } = useRun(toRef(props, 'run'))
const { temperature, limit, number, ppm, clock } = useNotation()
const log = computed(() => credit.value.at(-1) ?? 0)
const hottest = computed(() => smoke.value.length ? Math.max(...smoke.value.map(r => r.coreC)) : null)
const RISE_WORDS = { not_started: 'core still cold', under_way: 'under way', in_time: 'in time', late: 'too slow' }
const RISE_TONES = { not_started: 'plain', under_way: 'watch', in_time: 'good', late: 'act' } as const
const COOL_WORDS = { no_reading: 'no reading yet', under_way: 'under way', in_time: 'cooled in time', late_first: 'first stage too slow', late_second: 'too slow to the end' }
const COOL_TONES = { no_reading: 'watch', under_way: 'watch', in_time: 'good', late_first: 'act', late_second: 'act' } as const
const OUTCOMES = { heat_treated: 'heat-treated, cook before eating', raw_smoked: 'raw, smoked, cook before eating' }
</script>

<template>
  <dl class="figures">
    <div><dt>Core now</dt><dd><b>{{ last?.coreC != null ? temperature(last.coreC) : '–' }}</b><span class="small soft">{{ last ? `at ${clock(last.atMs)}` : '' }}{{ hottest !== null ? `, hottest ${temperature(hottest)}` : '' }}</span><InstrumentNote v-if="last" :mark="last.core" :offset-c="last.coreOffsetC" :read-c="last.coreC" /></dd></div>
    <div><dt>Salmonella credit</dt><dd><b>{{ number(Math.min(log, 99), 1) }} log</b><StateMark :tone="lethal ? 'good' : 'watch'">{{ lethal ? `${number(SALMONELLA_LOG, 1)} log reached` : `of ${number(SALMONELLA_LOG, 1)} wanted` }}</StateMark></dd></div>
    <div><dt>Come-up, {{ limit(10) }} to {{ limit(KILL_FROM_C) }}</dt><dd><b>{{ spanWords(rise.elapsedMs) }}</b><StateMark :tone="RISE_TONES[rise.status]">{{ RISE_WORDS[rise.status] }}, {{ spanWords(rise.allowedMs) }} allowed</StateMark></dd></div>
    <div v-if="run.outcome"><dt>Outcome for the label</dt><dd><b class="words">{{ OUTCOMES[run.outcome] }}</b><span class="small soft">No humidity option claimed, so not ready to eat.</span></dd></div>
    <div v-if="run.pulledAtMs && cooked" class="wide">
      <dt>Cooling, by each lot's own nitrite</dt>
      <dd>
        <ul>
          <li v-for="c in cooling" :key="c.lot.code">
            <LotCode :code="c.lot.code" />
            <span>{{ c.lot.lowPpm === null ? 'no nitrite' : `at least ${ppm(c.lot.lowPpm)}` }}: {{ c.rule.id === 'cured' ? 'cured' : 'not cured' }}, {{ spanWords(c.rule.firstMs) }} to {{ temperature(COOLING_MIDDLE_C) }}, then {{ spanWords(c.rule.secondMs) }} to {{ temperature(c.rule.endC) }}</span>
            <span v-if="c.startMs && c.middleMs" class="soft small">{{ spanWords(c.middleMs - c.startMs) }}{{ c.endMs ? `, then ${spanWords(c.endMs - c.middleMs)}` : '' }}</span>
            <StateMark :tone="COOL_TONES[c.status]">{{ COOL_WORDS[c.status] }}</StateMark>
          </li>
        </ul>
        <span class="small soft">FSIS stabilization guideline, Appendix B (2021).</span>
      </dd>
    </div>
  </dl>
</template>

<style scoped>
.figures { display: grid; grid-template-columns: repeat(4, minmax(0, auto)); gap: 1rem 2rem; margin: 0; justify-content: space-between; }
.figures > div { border-top: 2px solid var(--peat); padding-top: .35rem; display: grid; justify-items: start; gap: .15rem; align-content: start; }
dt { color: var(--soft); font-size: .9rem; } dd { margin: 0; display: grid; justify-items: start; gap: .15rem; } b { font: 700 1.6rem/1.1 var(--slab); font-variant-numeric: lining-nums tabular-nums; } b.words { font-size: 1.15rem; }
.wide dd { justify-items: stretch; }
.wide { grid-column: 1 / -1; }
ul { list-style: none; margin: 0; padding: 0; width: 100%; } li { display: flex; flex-wrap: wrap; gap: .3rem 1rem; align-items: center; padding: .3rem 0; border-bottom: 1px solid var(--hair); }
@media (max-width: 760px) { .figures { grid-template-columns: minmax(0, 1fr) minmax(0, 1fr); } }
</style>
