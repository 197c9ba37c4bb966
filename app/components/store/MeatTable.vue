<script setup lang="ts">
import { ARRIVAL_WARN_C } from '#core/rules/house'
import { ref } from 'vue'
import type { MeatView } from '#shared/contracts/store'
import CorrectButton from '~/components/common/CorrectButton.vue'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import LotCode from '~/components/common/LotCode.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'
import MeatDetail from './MeatDetail.vue'

defineProps<{ meat: MeatView[] }>()
const emit = defineEmits<{ changed: [] }>()
const { meat: weigh, temperature, moment } = useNotation()
const open = ref<string | null>(null)
const STATES = { held: ['held', 'held'], refused: ['sent back', 'plain'], destroyed: ['destroyed', 'plain'] } as const
const poor = (lot: MeatView) =>
  Object.entries(lot.checks ?? {})
    .filter(([, found]) => found === 'poor')
    .map(([check]) => check)
</script>

<template>
  <div class="scroll-x">
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">Code</th>
          <th scope="col">Cut</th>
          <th scope="col">Supplier, their lot</th>
          <th scope="col" class="num">Came in</th>
          <th scope="col" class="num">Left</th>
          <th scope="col">On arrival</th>
          <th scope="col">Received</th>
          <th scope="col"><span class="visually-hidden">Pieces</span></th>
        </tr>
      </thead>
      <tbody>
        <template v-for="lot in meat" :key="lot.code">
          <tr :class="{ soft: lot.state === 'refused' || lot.state === 'destroyed' }">
            <td><LotCode :code="lot.code" /></td>
            <td>{{ lot.cut === 'other' && lot.note ? lot.note : lot.cut }}, rind {{ lot.rind }}</td>
            <td>
              {{ lot.supplier }} <span class="code">{{ lot.supplierLot }}</span>{{ ' ' }}<CorrectButton
                what="meat_supplier_lot"
                :code="lot.code"
                :about="`their lot of ${lot.code}`"
                :now="lot.supplierLot"
                @corrected="emit('changed')"
              />
            </td>
            <td class="num">
              {{ weigh(lot.weightG) }}
              <CorrectButton
                what="meat_weight"
                :code="lot.code"
                :about="`weight of ${lot.code}`"
                :now="lot.weightTyped"
                @corrected="emit('changed')"
              />
            </td>
            <td class="num">{{ lot.state === 'refused' ? '–' : weigh(Math.max(0, lot.weightG - lot.usedG)) }}</td>
            <td class="marks">
              {{ temperature(lot.temperatureC) }}
              <StateMark v-if="lot.temperatureC > ARRIVAL_WARN_C" tone="watch">warm</StateMark>
              <StateMark v-if="lot.state !== 'in'" :tone="STATES[lot.state][1]">{{ STATES[lot.state][0] }}</StateMark>
              <StateMark v-if="poor(lot).length" tone="watch">poor {{ poor(lot).join(', ') }}</StateMark>
              <InstrumentNote :mark="lot.thermometer" />
            </td>
            <td>{{ moment(lot.receivedAtMs) }}</td>
            <td class="num">
              <VBtn
                class="slim"
                variant="outlined"
                :aria-expanded="open === lot.code"
                @click="open = open === lot.code ? null : lot.code"
              >
                {{
                  open === lot.code
                    ? 'Put aside'
                    : lot.pieces.length
                      ? `${lot.pieces.length} pieces`
                      : lot.state === 'in'
                        ? 'Cut'
                        : 'Papers'
                }}<span class="visually-hidden">, {{ lot.code }}</span>
              </VBtn>
            </td>
          </tr>
          <tr v-if="open === lot.code">
            <td colspan="8"><MeatDetail :lot="lot" @changed="emit('changed')" /></td>
          </tr>
        </template>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.marks :deep(.mark) {
  margin-left: 0.35rem;
}
tr > td {
  white-space: nowrap;
}
tr > td.marks,
tr > td[colspan] {
  white-space: normal;
}
</style>
