<script setup lang="ts">
import { computed } from 'vue'
import type { LotLimits } from '#core/rules/limits'
import type { SpoonFindings } from '#core/spoons/check-spoons'
import PpmBeam from '~/components/beam/PpmBeam.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'
import { saltWords, VERDICT_WORDS } from './spoon-words'

const props = defineProps<{ found: SpoonFindings; limits: LotLimits }>()
const { ppm, percent } = useNotation()
const said = computed(() => VERDICT_WORDS[props.found.verdict])
const pieces = computed(() => {
  const { low: lowPpm, high: highPpm } = props.found.ppm
  return highPpm > 0 ? [{ ppm: (lowPpm + highPpm) / 2, lowPpm, highPpm, expandedPpm: 0 }] : []
})
</script>

<template>
  <section class="stack-tight" aria-labelledby="spoon-verdict" aria-live="polite">
    <h2 id="spoon-verdict">What it can mean</h2>
    <PpmBeam
      :floor-ppm="limits.floorPpm"
      :limit-ppm="limits.maxPpm"
      :house="limits.house"
      :pieces="pieces"
      :meaning="found.verdict === 'no_nitrite' ? 'none' : 'exact'"
      :label="`Beam: ${Math.round(found.ppm.low)} to ${Math.round(found.ppm.high)} ppm, `
        + `floor ${limits.floorPpm}, limit ${Math.round(limits.maxPpm)}`"
    />
    <p class="row">
      <StateMark :tone="said.tone">{{ said.mark }}</StateMark>
      <strong v-if="found.ppm.high > 0">{{ ppm(found.ppm.low) }} to {{ ppm(found.ppm.high) }}</strong>
    </p>
    <p>
      {{ said.text }}
      <span v-if="found.verdict !== 'no_nitrite'" class="soft">It is the lot's: dealt out by scoops it holds for no single piece.</span>
    </p>
    <p>
      Salt {{ percent(found.saltShare.low, 2) }} to {{ percent(found.saltShare.high, 2) }}, sugar
      {{ percent(found.sugarShare.low, 2) }} to {{ percent(found.sugarShare.high, 2) }} of green weight. {{ saltWords(found) }}
    </p>
    <p class="small soft">{{ limits.row.source }}. An aid: your inspector and local code decide.</p>
  </section>
</template>
