<script setup lang="ts">
import type { ShopView } from '#shared/contracts/lots'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'

defineProps<{ shop: ShopView; jurisdiction: string }>()
const { ppm, dateInYear } = useNotation()
</script>

<template>
  <section class="stack-tight" aria-labelledby="rules-head">
    <h2 id="rules-head">Rule set: {{ jurisdiction }}</h2>
    <p class="row">
      <StateMark :tone="shop.confirmed ? 'good' : 'act'">
        {{
          shop.confirmed ? 'confirmed' : 'not confirmed by this shop'
        }}
      </StateMark>
      <span v-if="shop.confirmed">by {{ shop.confirmed.by }}, {{ dateInYear(shop.confirmed.on) }}: {{ shop.confirmed.reference }}</span>
    </p>
    <p class="soft">
      Target {{ ppm(shop.houseTargetPpm)
      }}<template v-if="shop.house.floorPpm !== null">, own floor {{ ppm(shop.house.floorPpm) }}</template>
      <template v-if="shop.house.maxPpm !== null">, own limit {{ ppm(shop.house.maxPpm) }}</template>. Nothing goes
      out before the owner has confirmed the set against the authority's text.
    </p>
    <div><VBtn variant="outlined" to="/office/rules">Rules, limits, confirmation</VBtn></div>
  </section>
</template>
