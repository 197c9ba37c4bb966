<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { mdiClose } from '@mdi/js'
import { parseWeight } from '#core/units/parse-weight'
import { PIECE_RANGE } from '#shared/contracts/fields'
import type { MeatView } from '#shared/contracts/store'
import { wordsFor } from '#shared/messages/en'
import WeightField from '~/components/common/WeightField.vue'
import { useNotation } from '~/composables/use-notation'
import type { BenchDraft } from './bench-draft'
import type { useBench } from './use-bench'

const props = defineProps<{ bench: ReturnType<typeof useBench>, meat: MeatView[], errorAt: (path: string) => string | undefined }>()
const draft = defineModel<BenchDraft>({ required: true })
const { as, meat: meatWords, grams, limit } = useNotation()
const refused = ref('')
const left = (lot: MeatView) => Math.max(0, lot.weightG - lot.usedG)
const taken = computed(() => new Set(draft.value.pieces.flatMap(piece => piece.meatPieceId ?? [])))
/** Pieces cut in the Store that are whole, in no lot, and not on this bench yet. */
const freePieces = (lot: MeatView) => lot.pieces.filter(piece => !piece.divided && piece.lot === null && !taken.value.has(piece.id))
const cutPieces = computed(() => {
  const lot = props.meat.find(m => m.code === draft.value.meatCode)
  return lot ? freePieces(lot) : []
})
const choices = computed(() => props.meat.filter(lot => lot.state === 'in' && (left(lot) > PIECE_RANGE.minG || freePieces(lot).length > 0)).map(lot => ({
  value: lot.code, title: `${lot.code}  ${lot.cut}, rind ${lot.rind}`, props: { subtitle: `${lot.supplier} ${lot.supplierLot}, ${meatWords(left(lot))} left` },
})))
const pieces = computed(() => props.bench.pieces.value)
const shares = computed(() => props.bench.shares.value)

watch(() => draft.value.meatCode, (code) => {
  const lot = props.meat.find(m => m.code === code)
  if (!lot) return
  draft.value.cut = lot.cut
  draft.value.rind = lot.rind
})
// Also after the bench was cleared.
watch(() => [choices.value, draft.value.meatCode] as const, ([list, code]) => {
  if (!code && list[0]) draft.value.meatCode = list[0].value
}, { immediate: true })

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
    <div class="row">
      <VBtnToggle v-if="draft.cut === 'belly'" v-model="draft.rind" mandatory variant="outlined" aria-label="Rind">
        <VBtn value="off" class="floor">Rind off</VBtn><VBtn value="on" class="floor">Rind on</VBtn>
      </VBtnToggle>
      <VBtnToggle v-model="draft.saltOnly" mandatory variant="outlined" aria-label="Cure">
        <VBtn :value="false" class="floor">With nitrite</VBtn><VBtn :value="true" class="floor">Salt only</VBtn>
      </VBtnToggle>
    </div>
    <p v-if="draft.rind === 'on' && draft.cut === 'belly'" class="small soft">Rind takes almost no cure: the limit is 10 % lower.</p>
    <p v-if="draft.saltOnly" class="caution">Salt does not make its own nitrite. {{ limit(4) }} or colder all the way, no long warm smoke, cook before eating, never vacuum-packed and left unrefrigerated.</p>
    <h2>Pieces</h2>
    <div v-if="cutPieces.length" class="row" role="group" aria-label="Pieces cut in the Store">
      <VBtn v-for="piece in cutPieces" :key="piece.id" class="floor" variant="outlined" @click="draft.pieces.push({ meatCode: draft.meatCode, weight: piece.typed, meatPieceId: piece.id })"><span class="code">{{ piece.label }}</span>&nbsp;{{ meatWords(piece.massG) }}</VBtn>
    </div>
    <div class="entry">
      <WeightField v-model="draft.entry" label="Next piece, green weight" :range="PIECE_RANGE" :error="refused || undefined" @enter="add" @update:model-value="refused = ''" />
      <VBtn class="floor" color="primary" @click="add">Add</VBtn>
    </div>
    <p class="small soft">1.98 kg, 1980, 4 lb 6.5 oz, or with its tub: 2450 - 470. Enter adds it.</p>
    <p v-if="errorAt('pieces')" class="caution grave" role="alert">{{ errorAt('pieces') }}</p>
    <table v-if="pieces.length" class="ruled">
      <thead><tr><th scope="col">Piece</th><th scope="col" class="num">Green weight</th><th scope="col" class="num">Its share of the mix</th><th><span class="visually-hidden">Take off</span></th></tr></thead>
      <tbody>
        <tr v-for="(piece, i) in pieces" :key="i">
          <td><strong>{{ i + 1 }}</strong><div v-if="piece.meatPieceId" class="small soft">cut</div></td>
          <td class="num">{{ piece.parsed ? meatWords(piece.parsed.netG) : '?' }}<div class="small soft">{{ piece.weight }}</div></td>
          <td class="num share">
            <strong>{{ shares[i] ? grams(shares[i]!.mixG) : '–' }}</strong>
            <div v-if="shares[i]" class="small soft"><template v-if="!draft.saltOnly">{{ grams(shares[i]!.agentG, 0.01) }} curing salt, </template>{{ grams(shares[i]!.saltG) }} salt, {{ grams(shares[i]!.sugarG) }} sugar</div>
          </td>
          <td class="num"><VBtn variant="text" density="comfortable" :icon="mdiClose" :aria-label="`Take piece ${i + 1} off`" @click="draft.pieces.splice(i, 1)" /></td>
        </tr>
      </tbody>
      <tfoot><tr class="pieces-end"><td>{{ pieces.length }}</td><td class="num"><strong>{{ meatWords(bench.greenG.value) }}</strong></td><td class="num">{{ bench.plan.value?.ok ? grams(bench.plan.value.value.mixG) : '' }}</td><td /></tr></tfoot>
    </table>
  </section>
</template>

<style scoped>
.entry { display: grid; grid-template-columns: minmax(0, 1fr) 6.5rem; gap: .6rem; align-items: start; }
td .v-btn { margin: -10px -8px -10px 0; }
.share { white-space: normal; max-width: 11rem; }
</style>
