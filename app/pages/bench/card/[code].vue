<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from '#imports'
import { mdiPrinterOutline } from '@mdi/js'
import type { CardView } from '#shared/contracts/cards'
import type { BenchView } from '#shared/contracts/lots'
import BenchCard from '~/components/bench/BenchCard.vue'
import { emptyBench, type BenchDraft } from '~/components/bench/bench-draft'
import LoadProblem from '~/components/common/LoadProblem.vue'
import { useLoaded } from '~/api/use-loaded'

const route = useRoute()
const { view: card, problem: cardLost, load: loadCard } = useLoaded<CardView>(
  () => `/api/cards/${encodeURIComponent(String(route.params.code))}`,
)
const { view, problem: benchLost, load: loadBench } = useLoaded<BenchView>('/api/bench')
const problem = computed(() => cardLost.value ?? benchLost.value)
const draftOf = (laid: CardView) => ({ ...emptyBench(), ...(laid.draft as unknown as BenchDraft) })
const load = () => Promise.all([loadCard(), loadBench()])
const print = () => window.print()
</script>

<template>
  <div>
    <div class="row spread no-print mb-4">
      <VBtn variant="outlined" to="/bench">To the Bench</VBtn>
      <VBtn color="primary" :prepend-icon="mdiPrinterOutline" @click="print">Print the card</VBtn>
    </div>
    <LoadProblem v-if="problem" :problem="problem" @again="load" />
    <p v-else-if="!card || !view" class="empty">Fetching the card…</p>
    <BenchCard v-else :card="card" :draft="draftOf(card)" :view="view" />
  </div>
</template>
