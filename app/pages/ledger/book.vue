<script setup lang="ts">
import { onMounted } from 'vue'
import BookList from '~/components/common/BookList.vue'
import LoadProblem from '~/components/common/LoadProblem.vue'
import PageHead from '~/components/common/PageHead.vue'
import BookCheck from '~/components/ledger/BookCheck.vue'
import LedgerViews from '~/components/ledger/LedgerViews.vue'
import { useBook } from '~/composables/use-book'

const { events, more, lost, loading, load, older } = useBook()
onMounted(load)
</script>

<template>
  <div class="stack">
    <PageHead title="Ledger" sub="Every record, newest first, each sealed with the one before it." />
    <LedgerViews />
    <BookCheck />
    <p v-if="loading && !events.length" class="empty">Reading the book…</p>
    <BookList v-if="events.length" :events="events" with-subjects @changed="load" />
    <LoadProblem v-if="lost" :problem="lost" @again="load" />
    <div v-if="more">
      <VBtn variant="outlined" class="no-print" :loading="loading" @click="older">Older records</VBtn>
    </div>
  </div>
</template>
