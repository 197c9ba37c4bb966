<script setup lang="ts">
import type { Grams } from '#core/units/quantities'
import type { BalanceParts, MassBalance } from '#core/slicing/mass-balance'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'

defineProps<{ greenG: Grams; parts: Omit<BalanceParts, 'greenG'>; balance: MassBalance }>()
const { meat, percent } = useNotation()
</script>

<template>
  <table class="ruled balance">
    <caption>
      Where the green weight went
    </caption>
    <tbody>
      <tr>
        <th scope="row">Green weight</th>
        <td class="num">{{ meat(greenG) }}</td>
        <td class="num">100 %</td>
      </tr>
      <tr>
        <th scope="row">Packs</th>
        <td class="num">{{ meat(parts.packsG) }}</td>
        <td class="num">
          <strong>{{ percent(balance.yieldShare) }}</strong>
        </td>
      </tr>
      <tr v-for="(massG, kind) in parts.offcutsG" :key="kind">
        <th scope="row">{{ kind }}</th>
        <td class="num">{{ meat(massG ?? 0) }}</td>
        <td class="num">{{ percent((massG ?? 0) / greenG) }}</td>
      </tr>
      <tr v-if="parts.cutG">
        <th scope="row">came off when cut up</th>
        <td class="num">{{ meat(parts.cutG) }}</td>
        <td class="num">{{ percent(parts.cutG / greenG) }}</td>
      </tr>
      <tr v-if="parts.hereG">
        <th scope="row">Not sliced yet, green weight</th>
        <td class="num">{{ meat(parts.hereG) }}</td>
        <td class="num">{{ percent(parts.hereG / greenG) }}</td>
      </tr>
      <tr v-if="parts.takenG">
        <th scope="row">Taken away, green weight</th>
        <td class="num">{{ meat(parts.takenG) }}</td>
        <td class="num">{{ percent(parts.takenG / greenG) }}</td>
      </tr>
      <tr>
        <th scope="row">Drip, drying and smoke loss</th>
        <td class="num">{{ balance.lossG === null ? 'weigh the slabs' : meat(balance.lossG) }}</td>
        <td class="num">{{ balance.lossG === null ? '' : percent(balance.lossG / greenG) }}</td>
      </tr>
      <tr>
        <th scope="row">Unaccounted</th>
        <td class="num">{{ balance.unaccountedG === null ? '–' : meat(balance.unaccountedG) }}</td>
        <td class="num">
          {{ balance.unaccountedG === null ? '' : percent(balance.unaccountedG / greenG) }}
          <StateMark v-if="balance.asks && parts.packsG > 0" tone="watch">over 1 %: where is it?</StateMark>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
caption {
  text-align: left;
  font: 600 1.02rem var(--slab);
  padding-bottom: 0.3rem;
}
th {
  color: var(--peat) !important;
  font-size: 1rem !important;
  border-bottom: 1px solid var(--hair) !important;
}
</style>
