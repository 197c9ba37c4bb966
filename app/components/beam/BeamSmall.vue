<script setup lang="ts">
import { computed } from 'vue'
import type { JudgementBrief } from '#shared/contracts/lots'
import { STATUS_WORDS } from '#shared/messages/verdict'
import { useNotation } from '~/composables/use-notation'
import { beamScale, secondEnds } from './beam-scale'

/** The beam as it is shown in tables: span, posts, one weight with its bar, and the figure. */
const props = defineProps<{ judgement: JudgementBrief }>()
const W = 116
const { ppm } = useNotation()
const lot = computed(() => props.judgement.lot)
const scale = computed(() => beamScale(W, 5, props.judgement.maxPpm, lot.value ? [lot.value] : []))
/** The other end of the weight: the least that stayed, where liquid took some along. */
const least = computed(() => (lot.value ? secondEnds([lot.value.lowPpm], [props.judgement.leastPpm])[0]! : null))
const figure = computed(() => {
  const { meaning } = props.judgement
  if (meaning === 'open') return `at least ${ppm(lot.value!.lowPpm)}`
  return `${meaning === 'upper_bound' ? 'up to ' : ''}${ppm(lot.value!.ppm)}`
})
const x = (value: number) => scale.value.x(value)
</script>

<template>
  <span v-if="lot" class="small-beam" :title="STATUS_WORDS[judgement.status]">
    <svg :width="W" height="24" :viewBox="`0 0 ${W} 24`" aria-hidden="true">
      <line class="rod" x1="2" :x2="W - 2" y1="7" y2="7" />
      <line class="span" :x1="x(judgement.floorPpm)" :x2="x(judgement.maxPpm)" y1="7" y2="7" />
      <path class="post" :d="`M${x(judgement.floorPpm)} 2 v10 M${x(judgement.maxPpm)} 2 v10`" />
      <line v-if="least !== null" class="bar end" :x1="x(least)" :x2="x(lot.lowPpm)" y1="12" y2="12" />
      <circle v-if="least !== null" class="ring" :cx="x(least)" cy="12" r="2.5" />
      <line class="bar" :x1="x(lot.lowPpm)" :x2="x(lot.highPpm)" y1="12" y2="12" />
      <path class="body" :d="`M${x(lot.ppm) - 2} 12 h4 l3 10 h-10 z`" />
    </svg>
    <span v-if="least !== null" class="visually-hidden">at least {{ ppm(least) }} stayed, of </span>
    <span>{{ figure }}</span><span class="visually-hidden">, {{ STATUS_WORDS[judgement.status] }}</span>
  </span>
  <span v-else class="small-beam soft">salt only</span>
</template>

<style scoped>
.small-beam {
  display: inline-flex;
  align-items: center;
  gap: 0.5rem;
  white-space: nowrap;
}
.rod {
  stroke: var(--hair-strong);
  stroke-width: 2;
}
.span {
  stroke: var(--moss);
  stroke-width: 4;
}
.post {
  stroke: var(--peat);
  stroke-width: 2;
}
.bar {
  stroke: var(--soft);
  stroke-width: 2;
}
.end {
  stroke: var(--heather);
  stroke-dasharray: 2 2;
}
.ring {
  fill: var(--bone);
  stroke: var(--heather);
  stroke-width: 1.5;
}
.body {
  fill: var(--peat);
}
</style>
