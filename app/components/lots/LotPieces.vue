<script setup lang="ts">
import type { LotView } from '#shared/contracts/lots'
import CorrectButton from '~/components/common/CorrectButton.vue'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import LotCode from '~/components/common/LotCode.vue'
import { useNotation } from '~/composables/use-notation'
import PieceTag from './PieceTag.vue'
import { scaleWords } from './lot-words'

/** The pieces as they were weighed before the rub. */
defineProps<{ lot: LotView }>()
const emit = defineEmits<{ corrected: [] }>()
const { meat } = useNotation()
</script>

<template>
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
        <tr v-for="piece in lot.rubbed" :key="piece.id">
          <td>
            {{ piece.label }}<span v-if="piece.bag" class="small soft bag"> bag {{ piece.bag }}</span>
            <PieceTag :code="lot.code" :piece="piece" @tagged="emit('corrected')" />
          </td>
          <td><LotCode :code="piece.meatCode" /></td>
          <td class="num">{{ meat(piece.greenG) }}</td>
          <td class="soft small">{{ piece.greenTyped }}</td>
          <td>
            <CorrectButton
              :id="piece.id"
              what="piece_weight"
              :about="`piece ${piece.label}`"
              :now="piece.greenTyped"
              @corrected="emit('corrected')"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <p class="soft small mt-2">{{ scaleWords(lot.meatScale) }} <InstrumentNote :mark="lot.meatScale" /></p>
  </section>
</template>

<style scoped>
.bag {
  white-space: nowrap;
}
</style>
