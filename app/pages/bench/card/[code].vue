<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useRoute } from '#imports'
import { mdiPrinterOutline } from '@mdi/js'
import type { CardView } from '#shared/contracts/cards'
import type { BenchView } from '#shared/contracts/lots'
import type { Problem } from '#shared/contracts/problem'
import { read } from '~/api/client'
import BenchCard from '~/components/bench/BenchCard.vue'
import { emptyBench, type BenchDraft } from '~/components/bench/bench-draft'
import LoadProblem from '~/components/common/LoadProblem.vue'

const route = useRoute()
const card = ref<CardView | null>(null)
const view = ref<BenchView | null>(null)
const lost = ref<Problem | null>(null)
const draftOf = (laid: CardView) => ({ ...emptyBench(), ...(laid.draft as unknown as BenchDraft) })
async function load(): Promise<void> {
  const [laid, bench] = await Promise.all([
    read<CardView>(`/api/cards/${encodeURIComponent(String(route.params.code))}`),
    read<BenchView>('/api/bench'),
  ])
  if (laid.ok && bench.ok) {
    card.value = laid.value
    view.value = bench.value
  }
  lost.value = laid.ok ? (bench.ok ? null : bench.problem) : laid.problem
}
const print = () => window.print()
onMounted(load)
</script>

<template>
  <div>
    <div class="row spread no-print mb-4">
      <VBtn variant="outlined" class="floor" to="/bench">To the Bench</VBtn><VBtn color="primary" class="floor" :prepend-icon="mdiPrinterOutline" @click="print">Print the card</VBtn>
    </div>
    <LoadProblem v-if="lost" :problem="lost" @again="load" />
    <p v-else-if="!card || !view" class="empty">Fetching the card…</p>
    <BenchCard v-else :card="card" :draft="draftOf(card)" :view="view" />
  </div>
</template>
