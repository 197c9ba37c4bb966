<script setup lang="ts">
import type { LotView } from '#shared/contracts/lots'
import CorrectButton from '~/components/common/CorrectButton.vue'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import LotCode from '~/components/common/LotCode.vue'
import { useNotation } from '~/composables/use-notation'
import { wentOnWords } from './went-on-words'
import { partName, partWords, scaleWords, targetWords } from './lot-words'

/** What went on the pieces, planned and weighed. */
defineProps<{ lot: LotView }>()
const emit = defineEmits<{ corrected: [] }>()
const { as, grams, moment } = useNotation()
</script>

<template>
  <section aria-labelledby="mix-head">
    <h2 id="mix-head">What went on</h2>
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">Ingredient</th>
          <th scope="col">Lot</th>
          <th scope="col" class="num">Planned</th>
          <th scope="col" class="num">Weighed</th>
          <th><span class="visually-hidden">Correct</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="part in lot.ingredients" :key="part.id">
          <td>
            {{ partName(part) }}
            <div v-if="partWords(part, moment)" class="small soft">{{ partWords(part, moment) }}</div>
          </td>
          <td class="pair">
            <LotCode :code="part.code" />{{ ' ' }}<CorrectButton
              v-if="part.role === 'agent'"
              :id="part.id"
              what="agent_used"
              about="which curing salt was used"
              :now="`${part.code} ${part.name}`"
              hint="A code like N-0002, or “unknown”"
              @corrected="emit('corrected')"
            />
          </td>
          <td class="num">{{ part.plannedG > 0 ? grams(part.plannedG) : '' }}</td>
          <td class="num">
            <strong>{{ part.unweighed ? 'not weighed' : grams(part.weighedG) }}</strong>
          </td>
          <td>
            <CorrectButton
              :id="part.id"
              what="ingredient_weighed"
              :about="part.name"
              :now="part.unweighed ? 'not weighed' : `${part.weighedTyped} (${grams(part.weighedG)})`"
              @corrected="emit('corrected')"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <p class="soft small mt-2">
      {{ wentOnWords(lot, as) }} {{ targetWords(lot, as) }} {{ scaleWords(lot.mixScale) }} <InstrumentNote :mark="lot.mixScale" />
    </p>
  </section>
</template>

<style scoped>
/* Wrapped under the code it would cover it. */
@media (--phone) {
  .pair :deep(.pencil) {
    margin: 0;
  }
}
</style>
