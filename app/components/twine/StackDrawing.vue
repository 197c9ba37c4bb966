<script setup lang="ts">
import { computed } from 'vue'
import { stackWords, type StackThen } from './stack-turns'

/** A stack drawn from below: as it lies, and after its next turns. The thick edge is the fat side. */
const props = defineProps<{ then: StackThen[]; spot: string | null }>()
const BOX = { width: 62, height: 17, gap: 2 }
const COLUMN = 108
const HEAD = 18
const most = computed(() => Math.max(...props.then.map(one => one.pieces.length)))
const height = computed(() => HEAD + most.value * (BOX.height + BOX.gap) + 4)
const y = (layer: number) => height.value - 4 - (layer + 1) * (BOX.height + BOX.gap)
const words = computed(() => `Stack${props.spot ? ` in ${props.spot}` : ''}. ${stackWords(props.then)}`)
</script>

<template>
  <figure class="pile">
    <svg
      :viewBox="`0 0 ${then.length * COLUMN - (COLUMN - BOX.width)} ${height}`"
      :width="then.length * COLUMN - (COLUMN - BOX.width)"
      :height="height"
      role="img"
      :aria-label="words"
    >
      <g v-for="(one, column) in then" :key="column" :transform="`translate(${column * COLUMN} 0)`" :class="{ ahead: column > 0 }">
        <text x="0" y="12" class="label">{{ one.label }}</text>
        <path v-if="column > 0" class="arrow" :d="`M${BOX.width - COLUMN + 8} ${height - 22} h24 m-6 -5 l6 5 l-6 5`" />
        <g v-for="(piece, layer) in one.pieces" :key="piece.label">
          <rect x="0.5" :y="y(layer) + 0.5" :width="BOX.width - 1" :height="BOX.height" rx="2" />
          <line
            v-if="piece.face"
            class="fat"
            x1="2"
            :x2="BOX.width - 2"
            :y1="y(layer) + (piece.face === 'fat' ? 2 : BOX.height - 1)"
            :y2="y(layer) + (piece.face === 'fat' ? 2 : BOX.height - 1)"
          />
          <text :x="BOX.width / 2" :y="y(layer) + BOX.height - 4" text-anchor="middle" class="number">{{ piece.label }}</text>
        </g>
        <line class="floor" x1="-4" :x2="BOX.width + 4" :y1="height - 3" :y2="height - 3" />
      </g>
    </svg>
    <figcaption class="small">
      <span v-if="spot" class="spot">{{ spot }}: </span>
      <template v-for="(one, i) in then.slice(1)" :key="one.label">
        {{ i > 0 ? '; ' : '' }}<strong>{{ one.label }}</strong>
        {{ one.move }}
      </template>
    </figcaption>
  </figure>
</template>

<style scoped>
.pile {
  margin: 0.2rem 0;
  max-width: 100%;
  overflow-x: auto;
}
rect {
  fill: var(--sheet);
  stroke: var(--peat);
  stroke-width: 1.3;
}
.ahead rect {
  stroke-dasharray: 3 2;
}
.number {
  font: 700 12px var(--sans);
  fill: var(--peat);
}
.label {
  font: 600 12px var(--sans);
  fill: var(--soft);
}
.fat {
  stroke: var(--straw);
  stroke-width: 3;
}
.floor {
  stroke: var(--peat);
  stroke-width: 2.5;
}
.arrow {
  fill: none;
  stroke: var(--soft);
  stroke-width: 1.6;
}
</style>
