<script setup lang="ts">
import { PIECE_RANGE } from '#core/rules/ranges'
import { computed, nextTick, ref, watch } from 'vue'
import { parseWeight } from '#core/typed/parse-weight'
import type { MeatView } from '#shared/contracts/store'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import WeightField from '~/components/common/WeightField.vue'
import { useNotation } from '~/composables/use-notation'
import type { BenchDraft } from './bench-draft'
import MethodChoice from './MethodChoice.vue'
import PieceTable from './PieceTable.vue'
import type { Bench } from './use-bench'

const props = defineProps<{ bench: Bench; meat: MeatView[]; errorAt: (path: string) => string | undefined }>()
const draft = defineModel<BenchDraft>({ required: true })
const { as, meat: meatWords } = useNotation()
const refused = ref('')
const left = (lot: MeatView) => Math.max(0, lot.weightG - lot.usedG)
const taken = computed(() => new Set(draft.value.pieces.flatMap(piece => piece.meatPieceId ?? [])))
/** Pieces cut in the Store that are whole, in no lot, and not on this bench yet. */
const freePieces = (lot: MeatView) =>
  lot.pieces.filter(piece => !piece.divided && piece.lot === null && !taken.value.has(piece.id))
const cutPieces = computed(() => {
  const lot = props.meat.find(m => m.code === draft.value.meatCode)
  return lot ? freePieces(lot) : []
})
const choices = computed(() =>
  props.meat
    .filter(lot => lot.state === 'in' && (left(lot) > PIECE_RANGE.minG || freePieces(lot).length > 0))
    .map(lot => ({
      value: lot.code,
      title: `${lot.code}  ${lot.cut}, rind ${lot.rind}`,
      props: { subtitle: `${lot.supplier} ${lot.supplierLot}, ${meatWords(left(lot))} left` },
    })),
)

watch(
  () => draft.value.meatCode,
  (code) => {
    const lot = props.meat.find(m => m.code === code)
    if (!lot) return
    draft.value.cut = lot.cut
    draft.value.rind = lot.rind
  },
)
// Runs also after the bench was cleared.
watch(
  () => [choices.value, draft.value.meatCode] as const,
  ([list, code]) => {
    if (!code && list[0]) draft.value.meatCode = list[0].value
  },
  { immediate: true },
)

async function add(): Promise<void> {
  const parsed = parseWeight(draft.value.entry, PIECE_RANGE)
  refused.value = parsed.ok ? '' : wordsFor(parsed.code, parsed.params, as.value)
  if (!parsed.ok || !draft.value.meatCode) return
  draft.value.pieces.push({ meatCode: draft.value.meatCode, weight: draft.value.entry.trim() })
  draft.value.entry = ''
  await nextTick()
  document.querySelector<HTMLElement>('.pieces-end')?.scrollIntoView({ block: 'nearest' })
}
</script>

<template>
  <section class="stack" aria-labelledby="meat-head">
    <h2 id="meat-head">Meat</h2>
    <VSelect v-model="draft.meatCode" :items="choices" label="Meat from the store" :error-messages="errorAt('cut')" />
    <VBtnToggle v-if="draft.cut === 'belly'" v-model="draft.rind" mandatory variant="outlined" aria-label="Rind">
      <VBtn value="off">Rind off</VBtn><VBtn value="on">Rind on</VBtn>
    </VBtnToggle>
    <MethodChoice v-model="draft" :bench="bench" />
    <h2>Pieces</h2>
    <div v-if="cutPieces.length" class="row" role="group" aria-label="Pieces cut in the Store">
      <VBtn
        v-for="piece in cutPieces"
        :key="piece.id"
        variant="outlined"
        @click="draft.pieces.push({ meatCode: draft.meatCode, weight: piece.typed, meatPieceId: piece.id })"
      >
        <span class="code">{{ piece.label }}</span>&nbsp;{{ meatWords(piece.massG) }}
      </VBtn>
    </div>
    <div class="entry">
      <WeightField
        v-model="draft.entry"
        label="Next piece, green weight"
        :range="PIECE_RANGE"
        :error="refused || undefined"
        @enter="add"
        @update:model-value="refused = ''"
      />
      <VBtn color="primary" @click="add">Add</VBtn>
    </div>
    <p class="small soft">1.98 kg, 1980, 4 lb 6.5 oz, or with its tub: 2450 - 470. Enter adds it.</p>
    <p v-if="errorAt('pieces')" class="caution grave" role="alert">{{ errorAt('pieces') }}</p>
    <PieceTable v-if="draft.pieces.length" v-model="draft" :bench="bench" />
  </section>
</template>

<style scoped>
.entry {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 6.5rem;
  gap: 0.6rem;
  align-items: start;
}
</style>
