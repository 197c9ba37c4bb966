<script setup lang="ts">
import type { Grams } from '#core/units/quantities'
import { ref } from 'vue'
import { localDay } from '#core/calendar/local-day'
import type { IngredientView } from '#shared/contracts/store'
import LotCode from '~/components/common/LotCode.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useClock } from '~/composables/use-clock'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'
import StockForm from './StockForm.vue'

defineProps<{ ingredients: IngredientView[] }>()
const emit = defineEmits<{ changed: [] }>()
const session = useSession()
const nowMs = useClock()
const { grams, meat, percent, dateInYear, moment } = useNotation()
const recorded = useRecorded()
const { save, message } = useSave()
const open = ref<string | null>(null)
/** Curing salt is counted in grams whatever its amount. */
const amount = (lot: IngredientView, massG: Grams) => (lot.kind === 'curing_salt' ? grams(massG) : meat(massG))
const expired = (lot: IngredientView) => lot.bestBefore !== null && lot.bestBefore < localDay(nowMs.value, session.zone)
async function openLot(lot: IngredientView): Promise<void> {
  const done = await save(`/api/ingredients/${lot.code}/opened`, {})
  if (!done) return
  recorded(`${lot.code} is open.`, done.eventId, async () => emit('changed'))
  emit('changed')
}
function moved(): void {
  open.value = null
  emit('changed')
}
</script>

<template>
  <div class="scroll-x">
    <SaveProblem :message="message" />
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">Code</th>
          <th scope="col">Ingredient</th>
          <th scope="col">Supplier, their lot</th>
          <th scope="col" class="num">Came in</th>
          <th scope="col" class="num">Left</th>
          <th scope="col">Certificate</th>
          <th scope="col">Best before</th>
          <th scope="col">Opened</th>
          <th v-if="session.mayWrite" scope="col"><span class="visually-hidden">Stock</span></th>
        </tr>
      </thead>
      <tbody>
        <template v-for="lot in ingredients" :key="lot.code">
          <tr>
            <td><LotCode :code="lot.code" /></td>
            <td>
              {{ lot.name }}<StateMark v-if="lot.iodised" tone="act">iodised</StateMark>
              <div v-if="lot.parts.length" class="small soft">
                made here of
                <template v-for="(part, i) in lot.parts" :key="part.code">
                  {{ i ? ', ' : '' }}<LotCode :code="part.code" /> {{ grams(part.massG) }}
                </template>
              </div>
              <div v-if="lot.allergens.length" class="small">allergens: {{ lot.allergens.join(', ') }}</div>
            </td>
            <td>
              {{ lot.supplier }} <span class="code">{{ lot.supplierLot }}</span>
            </td>
            <td class="num">{{ amount(lot, lot.amountG) }}</td>
            <td class="num">{{ amount(lot, Math.max(0, lot.leftG)) }}</td>
            <td>
              <template v-if="lot.agent">
                {{ percent(lot.agent.nitriteFraction, 2) }} ± {{ percent(lot.agent.labelTolerance, 2) }},
                <a
                  v-if="lot.certificateFile"
                  :href="`/api/files/${lot.certificateFile.id}`"
                  target="_blank"
                  rel="noopener"
                  :title="`SHA-256 ${lot.certificateFile.sha256}`"
                >{{ lot.certificate }}</a><template v-else>{{ lot.certificate }}</template>
              </template>
              <template v-else>–</template>
            </td>
            <td>
              {{ lot.bestBefore ? dateInYear(lot.bestBefore) : '–' }}
              <StateMark v-if="expired(lot)" tone="act">past</StateMark>
            </td>
            <td>
              <template v-if="lot.openedAtMs">{{ moment(lot.openedAtMs) }}</template><VBtn
                v-else-if="session.mayWrite"
                class="slim"
                variant="outlined"
                :aria-label="`Open ${lot.code}`"
                @click="openLot(lot)"
              >
                Open
              </VBtn><template v-else>no</template>
            </td>
            <td v-if="session.mayWrite" class="num">
              <VBtn
                class="slim"
                variant="outlined"
                :aria-expanded="open === lot.code"
                @click="open = open === lot.code ? null : lot.code"
              >
                {{ open === lot.code ? 'Put aside' : 'Stock'
                }}<span class="visually-hidden">, {{ lot.code }}</span>
              </VBtn>
            </td>
          </tr>
          <tr v-if="open === lot.code">
            <td colspan="9"><StockForm :lot="lot" @saved="moved" /></td>
          </tr>
        </template>
      </tbody>
    </table>
  </div>
</template>
