<script setup lang="ts">
import { ARRIVAL_WARN_C, type MeatView } from '#shared/contracts/store'
import CorrectButton from '~/components/common/CorrectButton.vue'
import LotCode from '~/components/common/LotCode.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'

defineProps<{ meat: MeatView[] }>()
const emit = defineEmits<{ corrected: [] }>()
const { meat: weigh, temperature, date, moment } = useNotation()
</script>

<template>
  <div class="scroll-x">
    <table class="ruled">
      <thead><tr><th scope="col">Code</th><th scope="col">Cut</th><th scope="col">Supplier, their lot</th><th scope="col" class="num">Came in</th><th scope="col" class="num">Left</th><th scope="col" class="num">On arrival</th><th scope="col">Packed</th><th scope="col">Received</th></tr></thead>
      <tbody>
        <tr v-for="lot in meat" :key="lot.code">
          <td><LotCode :code="lot.code" /></td>
          <td>{{ lot.cut }}, rind {{ lot.rind }}</td>
          <td>{{ lot.supplier }} <span class="code">{{ lot.supplierLot }}</span> <CorrectButton what="meat_supplier_lot" :code="lot.code" :about="`their lot of ${lot.code}`" :now="lot.supplierLot" @corrected="emit('corrected')" /></td>
          <td class="num">{{ weigh(lot.weightG) }} <CorrectButton what="meat_weight" :code="lot.code" :about="`weight of ${lot.code}`" :now="lot.weightTyped" @corrected="emit('corrected')" /></td>
          <td class="num">{{ weigh(Math.max(0, lot.weightG - lot.usedG)) }}</td>
          <td class="num">{{ temperature(lot.temperatureC) }} <StateMark v-if="lot.temperatureC > ARRIVAL_WARN_C" tone="watch">warm</StateMark></td>
          <td>{{ lot.packDate ? date(lot.packDate) : '–' }}</td>
          <td>{{ moment(lot.receivedAtMs) }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
