<script setup lang="ts">
import type { IngredientView } from '#shared/contracts/store'
import LotCode from '~/components/common/LotCode.vue'
import { useNotation } from '~/composables/use-notation'

defineProps<{ ingredients: IngredientView[] }>()
const { grams, meat, percent, date } = useNotation()
/** Curing salt is counted in grams whatever its amount. */
const amount = (lot: IngredientView, massG: number) => lot.kind === 'curing_salt' ? grams(massG) : meat(massG)
</script>

<template>
  <div class="scroll-x">
    <table class="ruled">
      <thead><tr><th scope="col">Code</th><th scope="col">Ingredient</th><th scope="col">Supplier, their lot</th><th scope="col" class="num">Came in</th><th scope="col" class="num">Left</th><th scope="col">Nitrite</th><th scope="col">Best before</th></tr></thead>
      <tbody>
        <tr v-for="lot in ingredients" :key="lot.code">
          <td><LotCode :code="lot.code" /></td>
          <td>{{ lot.name }}</td>
          <td>{{ lot.supplier }} <span class="code">{{ lot.supplierLot }}</span></td>
          <td class="num">{{ amount(lot, lot.amountG) }}</td>
          <td class="num">{{ amount(lot, Math.max(0, lot.amountG - lot.usedG)) }}</td>
          <td>{{ lot.agent ? `${percent(lot.agent.nitriteFraction, 2)} ± ${percent(lot.agent.labelTolerance, 2)}, ${lot.certificate}` : '–' }}</td>
          <td>{{ lot.bestBefore ? `${date(lot.bestBefore)} ${lot.bestBefore.slice(0, 4)}` : '–' }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
