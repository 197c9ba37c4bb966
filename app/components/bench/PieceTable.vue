<script setup lang="ts">
import { computed, ref } from 'vue'
import { upperFirst } from '#core/lists/upper-first'
import { LEAST_SALT_ONLY_SHARE } from '#core/rules/house'
import { useNotation } from '~/composables/use-notation'
import { isSaltOnly, type BenchDraft } from './bench-draft'
import PieceRow from './PieceRow.vue'
import { piecesWords } from '#shared/messages/pieces'
import { saltSpanWords } from './piece-words'
import SideShares from './SideShares.vue'
import type { Bench } from './use-bench'

/** The pieces on the Bench, and how the mix is shared out among them. */
const props = defineProps<{ bench: Bench }>()
const draft = defineModel<BenchDraft>({ required: true })
const { as, meat, grams, percent } = useNotation()
const inBags = ref(draft.value.pieces.some(piece => piece.bag))
const grouped = computed(() => draft.value.seasonings.some(s => s.group !== 'all'))
const salts = computed(() => props.bench.shares.value.map(share => share.totalSaltShare))
const leastSalt = computed(() => Math.min(...salts.value))
const mostSalt = computed(() => Math.max(...salts.value))
const NOTICEABLE = 0.002
const differs = computed(() => salts.value.length > 0 && mostSalt.value - leastSalt.value > NOTICEABLE)
const uneven = computed(() => draft.value.sharing === 'equal_scoops' && props.bench.saltScoops.value.length > 1)
const saltOnly = computed(() => isSaltOnly(draft.value))
/** Pieces that equal parts of the salt would leave under what cures without nitrite. */
const tooLittle = computed(() =>
  saltOnly.value ? props.bench.saltScoops.value.flatMap((share, i) => (share < LEAST_SALT_ONLY_SHARE ? [i + 1] : [])) : [],
)
/** Salt of the heaviest and the lightest piece from equal scoops, as shares of each. */
const saltSpan = computed(() => {
  const made = props.bench.made.value
  const shares = props.bench.saltScoops.value
  return made && shares.length > 1 ? { low: Math.min(...shares), high: Math.max(...shares), planned: made.totalSaltShare } : null
})
function toggleBags(): void {
  inBags.value = !inBags.value
  if (!inBags.value) for (const piece of draft.value.pieces) piece.bag = null
}
</script>

<template>
  <div class="stack-tight">
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">Piece</th>
          <th scope="col" class="num">Green weight</th>
          <th scope="col" class="num">Its share of the mix</th>
          <th><span class="visually-hidden">Take off</span></th>
        </tr>
      </thead>
      <tbody>
        <PieceRow
          v-for="(_piece, i) in bench.pieces.value"
          :key="i"
          v-model="draft"
          :bench="bench"
          :at="i"
          :in-bags="inBags"
          :grouped="grouped"
          :uneven="uneven"
          @off="draft.pieces.splice(i, 1)"
        />
      </tbody>
      <tfoot>
        <tr class="pieces-end">
          <td>{{ bench.pieces.value.length }}</td>
          <td class="num">
            <strong>{{ meat(bench.greenG.value) }}</strong>
          </td>
          <td class="num">{{ bench.made.value ? grams(bench.made.value.mixG) : '' }}</td>
          <td />
        </tr>
      </tfoot>
    </table>
    <p v-if="differs" class="small soft">
      Flavourings make the pieces differ in salt: {{ percent(leastSalt, 2) }} to {{ percent(mostSalt, 2) }}.
    </p>
    <div class="row">
      <VBtnToggle
        v-if="bench.saltScoops.value.length > 1"
        v-model="draft.sharing"
        mandatory
        variant="outlined"
        aria-label="How the mix is shared"
      >
        <VBtn value="by_weight">By weight</VBtn>
        <VBtn value="equal_scoops">Equal scoops</VBtn>
      </VBtnToggle>
      <VBtn variant="text" @click="toggleBags">{{ inBags ? 'No bags' : 'In bags' }}</VBtn>
    </div>
    <p v-if="uneven" class="caution">
      This is what each piece would get from equal scoops: the light ones {{ saltOnly ? '' : 'more curing salt and ' }}<strong>more
        salt</strong>, the heavy ones less{{ saltSpan ? saltSpanWords(saltSpan, as) : '' }}.
      <strong v-if="tooLittle.length">
        {{ upperFirst(piecesWords(tooLittle)) }} would have under {{ percent(LEAST_SALT_ONLY_SHARE, 1) }}: without nitrite that
        is no cure.
      </strong>
      Share by weight; the verdict below is for that.
    </p>
    <ul v-if="inBags && bench.bags.value.length" class="bags">
      <li v-for="bag in bench.bags.value" :key="bag.number">
        Bag {{ bag.number }}: {{ piecesWords(bag.pieces) }}, <strong>{{ grams(bag.mixG) }}</strong> of mix
      </li>
    </ul>
    <SideShares v-model="draft.sides" :rind="draft.rind" />
  </div>
</template>

<style scoped>
.bags {
  margin: 0;
  padding-left: 1.1rem;
}
</style>
