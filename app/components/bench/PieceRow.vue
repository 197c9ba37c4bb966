<script setup lang="ts">
import { computed } from 'vue'
import { mdiClose } from '@mdi/js'
import { useNotation } from '~/composables/use-notation'
import { nextFlavour, type BenchDraft, type PieceDraft } from './bench-draft'
import { readSides, sidesOf } from './read-draft'
import { saltScoopWords, scoopWords, shareWords, sideWords } from './piece-words'
import type { Bench } from './use-bench'

/** One piece: its green weight, its bag and flavour, and its share of the mix. */
const props = defineProps<{ bench: Bench; at: number; inBags: boolean; grouped: boolean; uneven: boolean }>()
const emit = defineEmits<{ off: [] }>()
const draft = defineModel<BenchDraft>({ required: true })
const { as, meat, grams } = useNotation()
const piece = computed(() => props.bench.pieces.value[props.at]!)
const typed = computed<PieceDraft>(() => draft.value.pieces[props.at]!)
const flavour = computed(() => piece.value.group ?? 'A')
const share = computed(() => props.bench.shares.value[props.at])
const scoop = computed(() => {
  const found = props.bench.scoops.value[props.at]
  const salt = props.bench.saltScoops.value[props.at]
  if (props.uneven && !found && salt !== undefined) return saltScoopWords(salt, as.value)
  return props.uneven && found ? scoopWords(found, props.bench.limits.value, as.value) : null
})
const sides = computed(() => share.value && sidesOf(share.value.mixG, readSides(draft.value)))
const setBag = (text: string) => {
  typed.value.bag = Number(text) >= 1 ? Math.floor(Number(text)) : null
}
</script>

<template>
  <tr>
    <td>
      <strong>{{ at + 1 }}</strong>
      <div v-if="piece.meatPieceId" class="small soft">cut</div>
      <VTextField
        v-if="inBags"
        :model-value="piece.bag ?? ''"
        :aria-label="`Bag of piece ${at + 1}`"
        placeholder="bag"
        density="compact"
        hide-details
        inputmode="numeric"
        class="bag"
        @update:model-value="setBag"
      />
      <VBtn
        v-if="grouped"
        variant="outlined"
        class="mark"
        :aria-label="`Flavour of piece ${at + 1}: ${flavour}. Press for the next`"
        @click="typed.group = nextFlavour(piece, draft.seasonings)"
      >
        {{ flavour }}
      </VBtn>
    </td>
    <td class="num">
      {{ piece.parsed ? meat(piece.parsed.netG) : '?' }}
      <div class="small soft">{{ piece.weight }}</div>
    </td>
    <td class="num share">
      <template v-if="scoop">
        <strong :class="{ wrong: scoop.wrong }">{{ scoop.words }}</strong>
        <div class="small soft">one of {{ bench.good.value.length }} equal scoops</div>
      </template>
      <template v-else-if="share">
        <strong>{{ grams(share.mixG) }}</strong>
        <div class="small soft">{{ shareWords(share, bench.fromAgentOnly.value, as) }}</div>
        <div v-if="sides" class="small soft">{{ sideWords(sides, draft.rind, as) }}</div>
      </template>
      <strong v-else>–</strong>
    </td>
    <td class="num">
      <VBtn
        variant="text"
        density="comfortable"
        :icon="mdiClose"
        :aria-label="`Take piece ${at + 1} off`"
        @click="emit('off')"
      />
    </td>
  </tr>
</template>

<style scoped>
td .v-btn {
  margin: -10px -8px -10px 0;
}
td .mark {
  margin: 2px 0;
  min-width: 56px;
  padding: 0;
}
.share {
  white-space: normal;
  max-width: 12rem;
}
.bag {
  width: 4.5rem;
}
.wrong {
  color: var(--ember);
}
</style>
