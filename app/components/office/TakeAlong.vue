<script setup lang="ts">
import { ref } from 'vue'
import { mdiDownload } from '@mdi/js'
import { usePasswordQuestion } from '~/stores/password-question'
import { useSession } from '~/stores/session'

/** The shop's records belong to the shop: all of them as one file, or a table at a time. */
defineProps<{ tables: string[] }>()
const session = useSession()
const question = usePasswordQuestion()
const link = ref<HTMLAnchorElement | null>(null)
async function take(): Promise<void> {
  if (await question.ask()) link.value?.click()
}
</script>

<template>
  <section class="stack-tight" aria-labelledby="along-head">
    <h2 id="along-head">Take it along</h2>
    <template v-if="session.isOwner">
      <p>
        The whole shop as one file, to keep or to move to another computer. Guard it like the keys: it holds what
        passwords are checked against. That it was taken stands in the book.
      </p>
      <div>
        <VBtn variant="outlined" :prepend-icon="mdiDownload" @click="take">The whole shop, JSON</VBtn>
        <a ref="link" href="/api/export/shop" download class="visually-hidden" tabindex="-1" aria-hidden="true">The file</a>
      </div>
    </template>
    <p>One table at a time, for a spreadsheet (CSV):</p>
    <ul>
      <li v-for="table in tables" :key="table">
        <a :href="`/api/export/csv/${table}`" download>{{ table.replaceAll('_', ' ') }}</a>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 1.1rem;
}
li a {
  display: inline-block;
  min-height: 24px;
}
</style>
