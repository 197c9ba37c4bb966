<script setup lang="ts">
import type { LotView } from '#shared/contracts/lots'
import CorrectButton from '~/components/common/CorrectButton.vue'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import LotCode from '~/components/common/LotCode.vue'
import { useNotation } from '~/composables/use-notation'

defineProps<{ lot: LotView }>()
const emit = defineEmits<{ corrected: [] }>()
const { meat, grams, percent } = useNotation()
const ROLES: Record<string, string> = { agent: 'Curing salt', salt: 'Salt', sugar: 'Sugar', spice: 'Seasoning' }
const nameOf = (part: LotView['ingredients'][number]) => (part.role === 'spice' ? part.name : ROLES[part.role])
</script>

<template>
  <div class="two">
    <section aria-labelledby="pieces-head">
      <h2 id="pieces-head">Pieces</h2>
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Piece</th>
            <th scope="col">Meat</th>
            <th scope="col" class="num">Green weight</th>
            <th scope="col">as typed</th>
            <th><span class="visually-hidden">Correct</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="piece in lot.pieces" :key="piece.id">
            <td>
              {{ piece.number }}<span v-if="piece.bag" class="small soft"> bag {{ piece.bag }}</span>
            </td>
            <td><LotCode :code="piece.meatCode" /></td>
            <td class="num">{{ meat(piece.greenG) }}</td>
            <td class="soft small">{{ piece.greenTyped }}</td>
            <td>
              <CorrectButton
                :id="piece.id"
                what="piece_weight"
                :about="`piece ${piece.number}`"
                :now="piece.greenTyped"
                @corrected="emit('corrected')"
              />
            </td>
          </tr>
        </tbody>
      </table>
      <p class="soft small mt-2">
        Weighed on {{ lot.meatScale?.name ?? 'a scale nobody named' }}. <InstrumentNote :mark="lot.meatScale" />
      </p>
    </section>
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
              {{ nameOf(part) }}
              <div v-if="part.application > 1 || part.pieceNumbers" class="small soft">
                {{ part.application > 1 ? 'second application' : `pieces ${part.pieceNumbers!.join(', ')}` }}
              </div>
            </td>
            <td>
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
            <td class="num">{{ grams(part.plannedG) }}</td>
            <td class="num">
              <strong>{{ grams(part.weighedG) }}</strong>
            </td>
            <td>
              <CorrectButton
                :id="part.id"
                what="ingredient_weighed"
                :about="part.name"
                :now="`${part.weighedTyped} (${grams(part.weighedG)})`"
                @corrected="emit('corrected')"
              />
            </td>
          </tr>
        </tbody>
      </table>
      <p class="soft small mt-2">
        Recipe: salt {{ percent(lot.targets.saltShare) }} {{ lot.targets.saltBasis }}, sugar
        {{ percent(lot.targets.sugarShare) }} of green weight.<template v-if="lot.waterTyped">
          In a brine of {{ lot.waterTyped }} water.
        </template><template v-if="lot.sides">
          Sides: flesh {{ percent(lot.sides.flesh, 0) }}, fat {{ percent(lot.sides.fat, 0) }}, edges
          {{ percent(lot.sides.edges, 0) }}.
        </template>
        Weighed on {{ lot.mixScale?.name ?? 'a scale nobody named' }}. <InstrumentNote :mark="lot.mixScale" />
      </p>
    </section>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 2.5rem;
}
@media (--tablet) {
  .two {
    grid-template-columns: minmax(0, 1fr);
    gap: 1.2rem;
  }
}
</style>
