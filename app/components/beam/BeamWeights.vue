<script setup lang="ts">
import type { Ppm } from '#core/units/quantities'
import type { PpmWithBounds } from '#core/cure/pieces-ppm'
import type { hangWeights, weightTone } from './beam-scale'

/** The pieces on the beam: what they may be as lines, the least that stayed as second ends, and the weights themselves. */
defineProps<{
  pieces: PpmWithBounds[]
  hung: ReturnType<typeof hangWeights>
  /** The least that stayed in each; null: no end of its own. */
  ends: readonly (Ppm | null)[]
  tones: ReturnType<typeof weightTone>[]
  x: (ppm: Ppm) => number
  beamY: number
  top: number
  /** Lines for so many pieces at most. */
  whiskers: number
  rowHeight: number
}>()
</script>

<template>
  <g>
    <g v-for="(piece, i) in pieces.slice(0, whiskers)" :key="`w${i}`" class="whisker" :class="tones[i]">
      <line :x1="x(piece.lowPpm)" :x2="x(piece.highPpm)" :y1="beamY + 15 + i * 5" :y2="beamY + 15 + i * 5" />
      <circle :cx="x(piece.ppm)" :cy="beamY + 15 + i * 5" r="2.4" />
    </g>
    <g v-for="(leastPpm, i) in ends.slice(0, whiskers)" :key="`e${i}`" class="end">
      <template v-if="leastPpm !== null">
        <line
          :x1="x(leastPpm)"
          :x2="x(pieces[i]!.ppm)"
          :y1="beamY + 15 + i * 5"
          :y2="beamY + 15 + i * 5"
        />
        <circle :cx="x(leastPpm)" :cy="beamY + 15 + i * 5" r="3" />
      </template>
    </g>
    <g v-for="weight in hung" :key="weight.number" class="weight" :class="tones[weight.number - 1]">
      <path
        v-if="(ends[weight.number - 1] ?? null) !== null"
        class="string"
        :d="`M${x(ends[weight.number - 1]!)} ${beamY + 4} V${top - 12} L${weight.atX} ${top + weight.row * rowHeight + 4}`"
      />
      <path
        class="string"
        :d="`M${weight.hookX} ${beamY + 4} V${top - 12} L${weight.atX} ${top + weight.row * rowHeight + 4}`"
      />
      <path class="body" :d="`M${weight.atX - 4} ${top + weight.row * rowHeight + 8} h8 l7 27 h-22 z`" />
      <circle class="ring" :cx="weight.atX" :cy="top + weight.row * rowHeight + 5" r="3.6" />
      <text :x="weight.atX" :y="top + weight.row * rowHeight + 29">{{ weight.number }}</text>
    </g>
  </g>
</template>

<style scoped>
text {
  font-family: var(--sans);
  text-anchor: middle;
  font-variant-numeric: tabular-nums;
}
.whisker line {
  stroke: var(--soft);
  stroke-width: 2;
  stroke-linecap: round;
  opacity: 0.85;
}
.whisker circle {
  fill: var(--peat);
}
.whisker.over line {
  stroke: var(--ember);
}
.end line {
  stroke: var(--heather);
  stroke-width: 2;
  stroke-dasharray: 3 3;
}
.end circle {
  fill: var(--bone);
  stroke: var(--heather);
  stroke-width: 2;
}
.string {
  stroke: var(--soft);
  stroke-width: 1;
  fill: none;
}
.body {
  fill: var(--peat);
  stroke: var(--peat);
  stroke-width: 2;
  stroke-linejoin: round;
  transition: fill 0.15s;
}
.ring {
  fill: var(--bone);
  stroke: var(--peat);
  stroke-width: 2;
}
.weight text {
  fill: var(--bone);
  font-weight: 700;
  font-size: 13px;
}
.over .body {
  fill: var(--ember);
  stroke: var(--ember);
}
.over .body {
  stroke-dasharray: none;
}
.under .body {
  fill: var(--bone);
}
.under text {
  fill: var(--peat);
}
</style>
