<script setup lang="ts">
import { computed } from 'vue'
import type { LifeKnot } from '#core/turning/knots'
import { waysOf } from '#core/turning/rhythm'
import type { PieceFace } from '#core/life/kinds/turn'
import { twineWords } from './twine-words'

/**
 * The twine: a lot's cure as butcher's twine. `fromDay` to `toDay` are cure days at the two ends; several lots hung
 * under one another share one calendar by giving their own cure days for the same dates.
 */
const props = defineProps<{
  knots: LifeKnot[]
  day: number
  readyFromDay: number
  bestByDay: number
  /** The face that lay up at the rub; null or left out: nobody cares. */
  firstFace?: PieceFace | null
  /** Lies in a stack. */
  stacked?: boolean
  fromDay: number
  toDay: number
  width: number
  ended?: boolean
  showDays?: boolean
}>()

const Y = 34
const H = computed(() => (props.showDays ? 84 : 68))
const perDay = computed(() => props.width / (props.toDay - props.fromDay + 1))
/** The middle of a cure day's column. */
const x = (day: number) => (day - props.fromDay + 0.5) * perDay.value
const lastDay = computed(() => Math.min(props.toDay + 1, props.ended ? props.day : props.bestByDay + 1))
const GONE = new Set<LifeKnot['state']>(['missed', 'made_up'])
/** Twine between two days, broken where a turn was missed. */
const strands = computed(() => {
  const gaps = props.knots.filter(knot => GONE.has(knot.state)).map(knot => x(knot.day) + shift(knot))
  const edges = [x(Math.max(0, props.fromDay - 1)), ...gaps.flatMap(gap => [gap - 9, gap + 9]), x(lastDay.value)]
  return edges.flatMap((edge, i) => (i % 2 === 0 && edges[i + 1]! > edge ? [{ from: edge, to: edges[i + 1]! }] : []))
})
const ready = computed(() => {
  const from = Math.max(x(props.readyFromDay) - perDay.value / 2, 0)
  const to = Math.min(x(Math.min(props.bestByDay, lastDay.value)) + perDay.value / 2, props.width)
  return to > from ? { from, to } : null
})
const twist = (from: number, to: number) =>
  Array.from({ length: Math.max(0, Math.floor((to - from) / 6)) }, (_, i) => `M${from + i * 6} ${Y + 3} l5 -6`).join(
    ' ',
  )
const seen = computed(() => props.knots.filter(knot => knot.day >= props.fromDay && knot.day <= props.toDay))
/** Two knots of one day stand side by side. */
const shift = (knot: LifeKnot) => {
  const same = props.knots.filter(other => other.day === knot.day)
  return same.length > 1 ? (same[0] === knot ? -1 : 1) * (perDay.value / 5) : 0
}
/** A turn shows the other face: flesh up, or flesh down. What is massaged or stirred lies as it falls. */
const fleshUp = (turns: number) => (turns % 2 === 0) === (props.firstFace !== 'fat')
const faceOf = (knot: LifeKnot) =>
  fleshUp(props.knots.filter(other => other.state === 'done' && other.fromMs <= knot.fromMs).length) ? 'up' : 'down'
const ARROW = { up: 'M-5 -14 l5 -8 l5 8 z', down: 'M-5 -22 l5 8 l5 -8 z' } as const
const ASKED: Partial<Record<LifeKnot['state'], string>> = {
  late: 'late',
  due: 'turn',
  missed: 'missed',
  made_up: 'made up',
  half: 'some',
}
/** Two knots of a day have room for one word: what is to be done. */
const wordOf = (knot: LifeKnot) => {
  const pair = props.knots.filter(other => other.day === knot.day && ASKED[other.state])
  const crowded = pair.length > 1 && perDay.value < WORD_WIDTH['made up']! * 2
  return crowded && pair.at(-1) !== knot ? '' : (ASKED[knot.state] ?? '')
}
const WORD_WIDTH = { 'ready': 36, 'late': 26, 'turn': 28, 'missed': 46, 'made up': 54, 'some': 34 } as Record<string, number>
/** The word stands beside the one under a knot, never upon it. */
const readyWordX = computed(() => {
  let at = (ready.value?.from ?? 0) + 3
  for (const knot of seen.value) {
    const half = (WORD_WIDTH[ASKED[knot.state] ?? ''] ?? 0) / 2
    const middle = x(knot.day) + shift(knot)
    if (half > 0 && at < middle + half && at + WORD_WIDTH.ready! > middle - half) at = middle + half + 3
  }
  return at
})
</script>

<template>
  <svg
    class="twine"
    :width="width"
    :height="H"
    :viewBox="`0 0 ${width} ${H}`"
    role="img"
    :aria-label="twineWords({ knots, day, readyFromDay, bestByDay, firstFace: firstFace ?? null, stacked: stacked ?? false })"
  >
    <g v-for="(s, i) in strands" :key="i" class="strand">
      <line :x1="s.from" :x2="s.to" :y1="Y" :y2="Y" />
      <path :d="twist(s.from, s.to)" />
    </g>
    <g v-if="ready" class="ready">
      <line :x1="ready.from" :x2="ready.to" :y1="Y" :y2="Y" />
      <path :d="twist(ready.from, ready.to)" />
      <text :x="readyWordX" :y="Y + 25" class="label">ready</text>
      <path class="mark" :d="`M${ready.from} ${Y + 7} v10`" />
    </g>
    <g v-if="fromDay <= 0" class="nail">
      <circle :cx="x(0)" :cy="Y" r="5.5" />
      <text :x="x(0)" :y="Y - 14">rub</text>
      <path
        v-if="firstFace"
        class="face"
        :transform="`translate(${x(0)} ${Y + 30})`"
        :d="firstFace === 'flesh' ? 'M-5 -14 l5 -8 l5 8 z' : 'M-5 -22 l5 8 l5 -8 z'"
      />
      <path v-if="stacked" class="stack" :d="`M${x(0) - 7} ${Y + 20} h14 m-14 5 h14 m-14 5 h14`" />
    </g>
    <g
      v-for="knot in seen"
      :key="knot.fromMs"
      :class="knot.state"
      :transform="`translate(${x(knot.day) + shift(knot)} ${Y})`"
    >
      <template v-if="knot.state === 'done'">
        <path class="tails" d="M-2 3 q-5 6 -3 10 M2 3 q6 5 5 10" />
        <ellipse rx="6.5" ry="7.5" />
        <path class="cross" d="M-4 -3 l8 6 M4 -3 l-8 6" />
        <path v-if="waysOf(knot.how).includes('turned')" class="face" :d="ARROW[faceOf(knot)]" />
      </template>
      <template v-else-if="knot.state === 'due' || knot.state === 'late'">
        <path class="loop" d="M-9 0 C-9 -22 9 -22 9 0" />
        <circle class="eye" cy="-8" r="9" />
        <text y="25" class="ask">{{ wordOf(knot) }}</text>
      </template>
      <template v-else-if="knot.state === 'half'">
        <path class="loop" d="M-9 0 C-9 -22 9 -22 9 0" />
        <circle class="eye" cy="-8" r="9" />
        <path class="part" d="M-9 -8 a9 9 0 0 0 18 0 z" />
        <text y="25" class="ask">{{ wordOf(knot) }}</text>
      </template>
      <template v-else-if="GONE.has(knot.state)">
        <path class="fray" d="M-9 0 l5 -4 M-9 0 l6 1 M-9 0 l5 5 M9 0 l-5 -4 M9 0 l-6 1 M9 0 l-5 5" />
        <text y="25" class="ask">{{ wordOf(knot) }}</text>
      </template>
      <circle v-else class="dot" r="2.6" />
    </g>
    <g v-if="showDays" class="days">
      <text
        v-for="d in toDay - Math.max(0, fromDay) + 1"
        :key="d"
        :x="x(Math.max(0, fromDay) + d - 1)"
        :y="H - 4"
        :class="{ today: Math.max(0, fromDay) + d - 1 === day }"
      >
        {{ Math.max(0, fromDay) + d - 1 }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.twine {
  display: block;
  overflow: hidden;
}
text {
  font-family: var(--sans);
  font-size: 12px;
  text-anchor: middle;
  fill: var(--soft);
}
.strand line {
  stroke: #c9ae7c;
  stroke-width: 5.5;
}
.strand path {
  stroke: #8a6a35;
  stroke-width: 1.3;
  fill: none;
}
.ready line {
  stroke: var(--moss);
  stroke-width: 6.5;
}
.ready path {
  stroke: var(--moss-wash);
  stroke-width: 1.2;
  fill: none;
}
.ready .label {
  text-anchor: start;
  fill: var(--moss);
  font-weight: 600;
}
.ready .mark {
  stroke: var(--moss);
  stroke-width: 2;
}
.stack {
  stroke: var(--peat);
  stroke-width: 2.5;
  fill: none;
}
.nail circle {
  fill: var(--peat);
}
.done ellipse {
  fill: #8a6a35;
  stroke: var(--peat);
  stroke-width: 1.6;
}
.done .cross {
  stroke: #e7d3a8;
  stroke-width: 1.3;
}
.done .tails {
  stroke: #8a6a35;
  stroke-width: 2.4;
  fill: none;
}
.face {
  fill: var(--peat);
}
.loop {
  stroke: #8a6a35;
  stroke-width: 3.4;
  fill: none;
}
.eye {
  fill: var(--straw-wash);
  stroke: var(--straw-ink);
  stroke-width: 3;
}
.late .eye {
  fill: var(--ember-wash);
  stroke: var(--ember);
  stroke-dasharray: 4 2.5;
}
.part {
  fill: #8a6a35;
}
.late .ask,
.missed .ask {
  fill: var(--ember);
  font-weight: 700;
}
.due .ask,
.half .ask,
.made_up .ask {
  fill: var(--straw-ink);
  font-weight: 700;
}
.fray {
  stroke: #8a6a35;
  stroke-width: 1.6;
  fill: none;
}
.dot {
  fill: var(--hair-strong);
}
.today {
  font-weight: 700;
  fill: var(--peat);
  font-size: 14px;
  text-decoration: underline;
}
@media print {
  .twine {
    max-width: 100%;
    height: auto;
  }
}
.night .ready path {
  stroke: #1b1714;
}
</style>
