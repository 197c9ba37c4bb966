<script setup lang="ts">
import type { Fraction } from '#core/units/quantities'
import { USUAL_SALT } from '#core/rules/house'
import { computed } from 'vue'
import type { CuringAgent } from '#core/cure/agent'
import { tieLine } from '#core/agents/tie-line'
import type { LotLimits } from '#core/rules/limits'
import { useNotation } from '~/composables/use-notation'
import type { BenchDraft } from './bench-draft'
import { shareOf } from './read-draft'

/** Salt and ppm tied by a nitrite curing salt: the line they lie on, and the stretch where both are right. */
const props = defineProps<{ agent: CuringAgent; limits: LotLimits }>()
const draft = defineModel<BenchDraft>({ required: true })
const { ppm, percent, number } = useNotation()
const W = 330
const H = 168
const PAD = { left: 40, top: 12, right: 12, bottom: 26 }
const MOST_SALT = 0.045
const SALT = { low: USUAL_SALT.lowShare, high: USUAL_SALT.highShare }
const line = computed(() => tieLine(props.agent, SALT, { low: props.limits.floorPpm, high: props.limits.maxPpm }))
const topPpm = computed(() => Math.min(props.limits.maxPpm, 300) * 1.35)
const x = (saltShare: Fraction) => PAD.left + (saltShare / MOST_SALT) * (W - PAD.left - PAD.right)
const y = (value: number) =>
  H - PAD.bottom - (Math.min(value, topPpm.value) / topPpm.value) * (H - PAD.top - PAD.bottom)
const endShare = computed(() => Math.min(MOST_SALT, topPpm.value / (line.value.ppmPerPercent * 100)))
const here = computed(() => ({ salt: shareOf(draft.value.saltShare) ?? 0, ppm: draft.value.targetPpm }))
const onLine = computed(() => here.value.ppm / (line.value.ppmPerPercent * 100))
/** Both from the one agent: the salt that the target brings, written so that it never asks for less. */
function follow(): void {
  draft.value.fromAgentOnly = !draft.value.fromAgentOnly
  if (draft.value.fromAgentOnly) draft.value.saltShare = number(onLine.value * 100, 2)
}
function middle(): void {
  const found = line.value.window
  if (!found) return
  draft.value.targetPpm = Math.round((found.from.ppm + found.to.ppm) / 2)
  draft.value.fromAgentOnly = true
  draft.value.saltShare = number(draft.value.targetPpm / line.value.ppmPerPercent, 2)
}
</script>

<template>
  <div class="tie">
    <svg
      :viewBox="`0 0 ${W} ${H}`"
      :width="W"
      :height="H"
      role="img"
      :aria-label="
        line.window
          ? `Both are right from ${percent(line.window.from.saltShare, 2)} salt and ${ppm(line.window.from.ppm)} `
            + `to ${percent(line.window.to.saltShare, 2)} and ${ppm(line.window.to.ppm)}`
          : 'No point of the line is right for both'
      "
    >
      <rect
        class="good"
        :x="x(SALT.low)"
        :width="x(SALT.high) - x(SALT.low)"
        :y="y(limits.maxPpm)"
        :height="Math.max(0, y(limits.floorPpm) - y(limits.maxPpm))"
      />
      <path class="axis" :d="`M${PAD.left} ${PAD.top} V${H - PAD.bottom} H${W - PAD.right}`" />
      <line class="line" :x1="x(0)" :y1="y(0)" :x2="x(endShare)" :y2="y(endShare * line.ppmPerPercent * 100)" />
      <line
        v-if="line.window"
        class="window"
        :x1="x(line.window.from.saltShare)"
        :y1="y(line.window.from.ppm)"
        :x2="x(line.window.to.saltShare)"
        :y2="y(line.window.to.ppm)"
      />
      <path class="here" :d="`M${x(Math.min(here.salt, MOST_SALT))} ${y(here.ppm)} m-6 0 h12 m-6 -6 v12`" />
      <text v-for="percentTick in [1, 2, 3, 4]" :key="percentTick" :x="x(percentTick / 100)" :y="H - 10">
        {{ percentTick }} %
      </text>
      <text
        v-for="tick in [limits.floorPpm, limits.maxPpm]"
        :key="tick"
        class="left"
        :x="PAD.left - 5"
        :y="y(tick) + 4"
      >
        {{ number(tick, 0) }}
      </text>
    </svg>
    <div class="stack-tight">
      <p class="small">
        <strong>Salt and ppm are tied:</strong> each per cent of salt through this curing salt brings
        {{ ppm(line.ppmPerPercent) }}.
        <template v-if="line.window">
          Both are right from {{ percent(line.window.from.saltShare, 2) }} ({{ ppm(line.window.from.ppm) }}) to
          {{ percent(line.window.to.saltShare, 2) }} ({{ ppm(line.window.to.ppm) }}).
        </template><template v-else>
          No point of the line is right for both: take another curing salt, or no. 1 with plain salt.
        </template>
      </p>
      <p class="small soft">
        {{
          here.salt < onLine - 1e-6 && !draft.fromAgentOnly
            ? `The target brings ${percent(onLine, 2)} of salt, more than you want.`
            : 'Plain salt beside it goes to the right of the line; nothing goes to the left.'
        }}
      </p>
      <div class="row">
        <VBtn variant="outlined" :aria-pressed="draft.fromAgentOnly" @click="follow">
          {{
            draft.fromAgentOnly ? 'Add plain salt beside it' : 'All salt through it'
          }}
        </VBtn>
        <VBtn v-if="line.window" variant="text" @click="middle">Middle of the window</VBtn>
      </div>
    </div>
  </div>
</template>

<style scoped>
.tie {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 1.2rem;
  align-items: center;
}
svg {
  max-width: 100%;
  height: auto;
}
.good {
  fill: var(--moss);
  opacity: 0.16;
}
.axis {
  fill: none;
  stroke: var(--hair-strong);
}
.line {
  stroke: var(--peat);
  stroke-width: 1.5;
}
.window {
  stroke: var(--moss);
  stroke-width: 6;
  stroke-linecap: round;
}
.here {
  stroke: var(--heather);
  stroke-width: 3;
  fill: none;
}
text {
  font: 12px var(--sans);
  fill: var(--soft);
  text-anchor: middle;
}
.left {
  text-anchor: end;
}
@media (--phone) {
  .tie {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
