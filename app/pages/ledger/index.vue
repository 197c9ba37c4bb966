<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { navigateTo, useRoute } from '#imports'
import { readCode } from '#core/trace/code'
import type { NewerRulesView } from '#shared/contracts/newer-rules'
import type { ThreadView } from '#shared/contracts/thread'
import { problemWords } from '~/api/client'
import PageHead from '~/components/common/PageHead.vue'
import LedgerViews from '~/components/ledger/LedgerViews.vue'
import ThreadDrawing from '~/components/ledger/ThreadDrawing.vue'
import { useLoaded } from '~/api/use-loaded'
import { useSession } from '~/stores/session'

const route = useRoute()
const session = useSession()
const typed = ref(String(route.query.code ?? ''))
const notCode = ref(false)
const { view: thread, problem, load } = useLoaded<ThreadView>(() =>
  route.query.code ? `/api/thread/${encodeURIComponent(String(route.query.code))}` : null,
)
const { view: newer } = useLoaded<NewerRulesView>('/api/newer-rules')
watch(
  () => route.query.code,
  (code) => {
    if (code) typed.value = String(code)
  },
)
const words = computed(() =>
  notCode.value
    ? `“${typed.value.slice(0, 40)}” is not a code. Codes look like L-0042: M meat, N ingredient, L lot, S smoke, P pack.`
    : problem.value
      ? problemWords(problem.value, session.notation)
      : '',
)

async function find(): Promise<void> {
  const found = readCode(typed.value)
  notCode.value = found === null && typed.value.trim() !== ''
  problem.value = null
  // The same code again is another try.
  if (found) await (found.code === route.query.code ? load() : navigateTo(`/ledger?code=${found.code}`))
}
</script>

<template>
  <div class="stack">
    <PageHead
      title="Ledger"
      sub="Any code, and its thread both ways: from the supplier's lot to the customer's pack."
    />
    <LedgerViews />
    <p v-if="newer?.lots.length" class="caution no-print">
      An upgrade judged by newer rules and held {{ newer.lots.length === 1 ? '1 lot' : `${newer.lots.length} lots` }}.
      <NuxtLink to="/sheets/newer-rules">Which, and which customers have packs of them</NuxtLink>
    </p>
    <form class="find no-print" @submit.prevent="find">
      <VTextField
        v-model="typed"
        label="Code, typed or scanned"
        class="code-field"
        autocomplete="off"
        autofocus
        hint="M meat, N ingredient, L lot, S smoke, P pack"
        persistent-hint
      />
      <VBtn type="submit" color="primary">Show the thread</VBtn>
    </form>
    <p v-if="words" class="caution grave" role="alert">{{ words }}</p>
    <ThreadDrawing v-if="thread" :thread="thread" />
    <p v-else-if="!words" class="empty">Type a code, or scan it from a label or a card. Its thread is drawn here.</p>
  </div>
</template>

<style scoped>
.find {
  display: grid;
  grid-template-columns: minmax(0, 26rem) auto;
  gap: 0.7rem;
  justify-content: start;
  align-items: start;
}
.code-field :deep(input) {
  font-family: var(--mono);
  font-weight: 700;
}
@media (--phone) {
  .find {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
