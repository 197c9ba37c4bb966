<script setup lang="ts">
import type { Ppm } from '#core/units/quantities'
import { computed, ref } from 'vue'
import type { PpmMeaning } from '#core/cure/cure-method'
import type { HouseLimits } from '#core/rules/house'
import type { PpmWithBounds } from '#core/cure/pieces-ppm'
import { useNotation } from '~/composables/use-notation'
import { useWidth } from '~/composables/use-width'
import BeamWeights from './BeamWeights.vue'
import { beamScale, hangWeights, secondEnds, weightTone } from './beam-scale'
import { useNotch } from './use-notch'

/**
 * The beam: floor and limit as posts, the legal span between, the target as a notch, each piece a weight at its own
 * ppm.
 */
const props = defineProps<{
  floorPpm: Ppm
  limitPpm: Ppm
  pieces: PpmWithBounds[]
  label: string
  mayDrag?: boolean
  meaning?: PpmMeaning
  house?: HouseLimits
  /** The least that stayed in each, in the same order; null: not shown. Left out: as much as went in. */
  least?: readonly (Ppm | null)[]
}>()
const target = defineModel<number | null>('target', { default: null })

const PAD = 34
const BEAM_Y = 78
const ROW_H = 48
const WHISKERS = 8
const MOST_SHOWN = 40

const { ppm, number } = useNotation()
const box = ref<HTMLElement | null>(null)
const width = useWidth(box, 720)

const scale = computed(() => beamScale(width.value, PAD, props.limitPpm, props.pieces))
const shown = computed(() => props.pieces.slice(0, MOST_SHOWN))
const hung = computed(() =>
  hangWeights(
    shown.value.map(piece => scale.value.x(piece.ppm)),
    PAD,
    width.value - PAD,
  ),
)
const weightsTop = computed(() => BEAM_Y + 26 + Math.min(shown.value.length, WHISKERS) * 5)
const height = computed(
  () => weightsTop.value + Math.max(0.4, Math.max(-1, ...hung.value.map(weight => weight.row)) + 1) * ROW_H + 40,
)
const ends = computed(() =>
  secondEnds(
    shown.value.map(piece => piece.lowPpm),
    props.least ?? [],
  ),
)
const tone = (piece: PpmWithBounds | undefined) => weightTone(piece, props)
const x = (value: number) => scale.value.x(value)

const housePosts = computed(() =>
  [props.house?.floorPpm, props.house?.maxPpm].filter((value): value is number => typeof value === 'number'),
)
const { grab, drag, drop, press } = useNotch(target, box, scale)
</script>

<template>
  <figure ref="box" class="beam" @pointermove="drag" @pointerup="drop" @pointercancel="drop">
    <svg :viewBox="`0 0 ${width} ${height}`" :width="width" :height="height" role="img" :aria-label="label">
      <g class="ticks">
        <g v-for="tick in scale.ticks" :key="tick">
          <line :x1="x(tick)" :x2="x(tick)" :y1="BEAM_Y + 5" :y2="BEAM_Y + 11" />
          <text :x="x(tick)" :y="height - 6">{{ tick }}</text>
        </g>
        <text :x="width - 2" :y="height - 6" class="unit">ppm</text>
        <line :x1="PAD" :x2="width - PAD" :y1="height - 22" :y2="height - 22" class="base" />
      </g>
      <line
        v-for="post in [floorPpm, limitPpm]"
        :key="post"
        class="guide"
        :x1="x(post)"
        :x2="x(post)"
        :y1="BEAM_Y"
        :y2="height - 22"
      />
      <rect class="rod" :x="PAD - 12" :y="BEAM_Y - 4" :width="width - 2 * PAD + 24" height="8" rx="4" />
      <rect class="span" :x="x(floorPpm)" :y="BEAM_Y - 4" :width="x(limitPpm) - x(floorPpm)" height="8" />
      <g v-for="post in housePosts" :key="`h${post}`" class="post house">
        <path :d="`M${x(post)} ${BEAM_Y + 5} V${BEAM_Y - 14}`" />
        <text :x="x(post)" :y="BEAM_Y - 18">house {{ number(post, 0) }}</text>
      </g>
      <g class="post floor">
        <path :d="`M${x(floorPpm)} ${BEAM_Y + 7} V${BEAM_Y - 26}`" />
        <text :x="x(floorPpm)" :y="BEAM_Y - 33">floor {{ number(floorPpm, 0) }}</text>
      </g>
      <g class="post limit">
        <path :d="`M${x(limitPpm)} ${BEAM_Y + 9} V${BEAM_Y - 26} m-7 0 h14`" />
        <text :x="x(limitPpm)" :y="BEAM_Y - 33">limit {{ number(limitPpm, 0) }}</text>
      </g>
      <BeamWeights
        :pieces="shown"
        :hung="hung"
        :ends="ends"
        :tones="shown.map(tone)"
        :x="x"
        :beam-y="BEAM_Y"
        :top="weightsTop"
        :whiskers="WHISKERS"
        :row-height="ROW_H"
      />
      <g v-if="target !== null" class="notch-mark" :transform="`translate(${x(target) - 28} ${BEAM_Y - 30})`">
        <path d="M16 4 h24 v13 l-12 13 l-12 -13 z" />
        <text x="28" y="16">{{ number(target, 0) }}</text>
      </g>
      <text v-if="pieces.length > MOST_SHOWN" :x="PAD" :y="height - 28" class="more">
        and {{ pieces.length - MOST_SHOWN }} more pieces at the same ppm
      </text>
      <text v-if="!pieces.length" :x="width / 2" :y="BEAM_Y + 34" class="more mid">
        {{
          meaning === 'none'
            ? 'Salt only: no nitrite, nothing hangs here.'
            : 'Enter a piece, and it hangs here at its ppm.'
        }}
      </text>
      <text v-if="pieces.length && meaning === 'upper_bound'" :x="PAD" :y="14" class="more">
        Each weight hangs at the most it can be: an upper bound.
      </text>
      <text v-else-if="ends.some(end => end !== null)" :x="PAD" :y="14" class="more">
        Two ends: what went in, and the least that stayed.
      </text>
    </svg>
    <button
      v-if="mayDrag && target !== null"
      type="button"
      class="notch plain"
      role="slider"
      aria-label="Target on the beam"
      :style="{ left: `${x(target)}px`, top: `${BEAM_Y - 30}px` }"
      :aria-valuenow="target"
      aria-valuemin="0"
      :aria-valuemax="Math.round(scale.maxPpm)"
      :aria-valuetext="ppm(target)"
      @pointerdown.prevent="grab"
      @pointermove="drag"
      @pointerup="drop"
      @keydown="press"
    ></button>
    <figcaption class="visually-hidden">{{ label }}</figcaption>
  </figure>
</template>

<style scoped>
.beam {
  position: relative;
  margin: 0;
  touch-action: pan-y;
}
svg {
  display: block;
  overflow: visible;
}
text {
  font-family: var(--sans);
  font-size: 12.5px;
  fill: var(--soft);
  text-anchor: middle;
  font-variant-numeric: tabular-nums;
}
.unit {
  text-anchor: end;
}
.ticks line {
  stroke: var(--hair-strong);
}
.ticks .base {
  stroke: var(--hair);
}
.guide {
  stroke: var(--hair-strong);
  stroke-dasharray: 2 5;
}
.rod {
  fill: var(--peat);
}
.span {
  fill: var(--moss);
  stroke: var(--bone);
  stroke-width: 1.2;
}
.post path {
  stroke: var(--peat);
  stroke-width: 5;
  fill: none;
  stroke-linecap: square;
}
.post text {
  font-weight: 600;
  fill: var(--peat);
  font-size: 14px;
}
.limit path {
  stroke: var(--ember);
}
.house path {
  stroke: var(--heather);
  stroke-width: 3;
}
.house text {
  font-size: 11.5px;
  font-weight: 500;
}
.more {
  text-anchor: start;
  font-size: 14px;
}
.mid {
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--bone);
  stroke-width: 8;
}
.notch {
  position: absolute;
  background: none;
  border: 0;
  width: 56px;
  height: 56px;
  margin-left: -28px;
  padding: 0;
  cursor: ew-resize;
  touch-action: none;
}
.notch-mark path {
  fill: var(--heather);
}
.notch-mark text {
  fill: var(--bone);
  font-weight: 700;
  font-size: 12.5px;
}
@media print {
  svg {
    max-width: 100%;
    height: auto;
  }
  .notch {
    display: none;
  }
  .notch-mark path {
    fill: #000;
  }
  .span {
    fill: #999;
  }
}
</style>
