<script setup lang="ts">
import { onMounted, ref, watch } from 'vue'
import type { LotRow } from '#shared/contracts/lots'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PageHead from '~/components/common/PageHead.vue'
import LedgerViews from '~/components/ledger/LedgerViews.vue'
import LotTable from '~/components/ledger/LotTable.vue'
import { usePages } from '~/composables/use-pages'

const find = ref('')
const openOnly = ref(false)
const { rows, more, problem, loading, loaded, load, older } = usePages<LotRow>((before) => {
  const asked = new URLSearchParams({
    ...(before ? { before } : {}),
    ...(find.value.trim() ? { find: find.value.trim() } : {}),
    ...(openOnly.value ? { open: 'true' } : {}),
  })
  return `/api/lots?${asked}`
})
const PAUSE_MS = 250
let waiting: ReturnType<typeof setTimeout> | undefined
watch(find, () => {
  clearTimeout(waiting)
  waiting = setTimeout(load, PAUSE_MS)
})
watch(openOnly, load)
onMounted(load)
</script>

<template>
  <div class="stack">
    <PageHead title="Ledger" sub="Every lot there ever was, newest first." />
    <LedgerViews />
    <div class="asked no-print">
      <VTextField
        v-model="find"
        label="Find a lot"
        maxlength="40"
        autocomplete="off"
        clearable
        hint="A code, a cut, or the day it was rubbed, 2026-11-07"
        persistent-hint
        @click:clear="find = ''"
      />
      <VCheckbox v-model="openOnly" label="Only what is not finished" hide-details />
    </div>
    <LoadProblem v-if="problem" :problem="problem" @again="load" />
    <p v-else-if="!loaded" class="empty">Reading the book…</p>
    <LotTable v-else :lots="rows" :looked-for="find.trim() !== '' || openOnly" />
    <div v-if="more">
      <VBtn variant="outlined" class="no-print" :loading="loading" @click="older">Older lots</VBtn>
    </div>
  </div>
</template>

<style scoped>
.asked {
  display: grid;
  grid-template-columns: minmax(0, 26rem) auto;
  gap: 0.7rem 1.4rem;
  justify-content: start;
  align-items: start;
}
@media (--phone) {
  .asked {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
