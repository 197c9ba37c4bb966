<script setup lang="ts">
import { LEAST_SALT_ONLY_SHARE, USUAL_SALT } from '#core/rules/house'
import { said as figures } from '#shared/messages/params'
import { computed } from 'vue'
import type { LotLimits } from '#core/rules/limits'
import type { SpoonFindings } from '#core/spoons/check-spoons'
import PpmBeam from '~/components/beam/PpmBeam.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'

const props = defineProps<{ found: SpoonFindings; limits: LotLimits }>()
const { ppm, percent } = useNotation()
const WORDS = {
  below_floor: {
    tone: 'watch',
    mark: 'below the floor',
    text: 'Too little, however the spoon is filled. Too little is a hazard as well as too much.',
  },
  inside: { tone: 'good', mark: 'inside', text: 'Inside, but nobody can say where. Weigh it.' },
  above_limit: { tone: 'act', mark: 'above the limit', text: 'Too much, whatever the grain. Do not use it.' },
  cannot_tell: {
    tone: 'act',
    mark: 'cannot be told from spoons',
    text: 'Part of the range is inside, part is not. Weigh it.',
  },
  no_nitrite: {
    tone: 'cold',
    mark: 'no nitrite',
    text: 'No curing salt in it: a salt-only cure, with its own stricter limits.',
  },
} as const
const said = computed(() => WORDS[props.found.verdict])
const pieces = computed(() =>
  props.found.ppm.high > 0
    ? [
        {
          ppm: (props.found.ppm.low + props.found.ppm.high) / 2,
          lowPpm: props.found.ppm.low,
          highPpm: props.found.ppm.high,
          expandedPpm: 0,
        },
      ]
    : [],
)
const saltWords = computed(() =>
  props.found.saltShare.low > USUAL_SALT.highShare
    ? `Over ${figures.limit(USUAL_SALT.highShare)} eats salty.`
    : props.found.saltShare.high < LEAST_SALT_ONLY_SHARE
      ? `Under ${figures.limit(LEAST_SALT_ONLY_SHARE)} is little.`
      : '',
)
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
      :label="`Beam: ${Math.round(found.ppm.low)} to ${Math.round(found.ppm.high)} ppm, floor ${limits.floorPpm}, limit ${Math.round(limits.maxPpm)}`"
    />
    <p class="row">
      <StateMark :tone="said.tone">{{ said.mark }}</StateMark><strong v-if="found.ppm.high > 0">{{ ppm(found.ppm.low) }} to {{ ppm(found.ppm.high) }}</strong>
    </p>
    <p>
      {{ said.text }}
      <span v-if="found.verdict !== 'no_nitrite'" class="soft">It is the lot's: dealt out by scoops it holds for no single piece.</span>
    </p>
    <p>
      Salt {{ percent(found.saltShare.low, 2) }} to {{ percent(found.saltShare.high, 2) }}, sugar
      {{ percent(found.sugarShare.low, 2) }} to {{ percent(found.sugarShare.high, 2) }} of green weight. {{ saltWords }}
    </p>
    <p class="small soft">{{ limits.row.source }}. An aid: your inspector and local code decide.</p>
  </section>
</template>
