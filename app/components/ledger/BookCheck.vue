<script setup lang="ts">
import { computed } from 'vue'
import type { BookCheckView } from '#shared/contracts/events'
import LotCode from '~/components/common/LotCode.vue'
import LoadProblem from '~/components/common/LoadProblem.vue'
import { findingWords } from '#shared/messages/findings'
import { useLoaded } from '~/api/use-loaded'
import { useNotation } from '~/composables/use-notation'

/** The whole chain and every row of the shop, walked while you wait: unbroken, or all that is not what it was. */
const { number } = useNotation()
const { view: check, problem, loading: checking, load: walk } = useLoaded<BookCheckView>('/api/book/check', {
  whenAsked: true,
})
const sound = computed(() => check.value?.broken === null)
const SHOWN = 40
</script>

<template>
  <section class="stack-tight check" aria-labelledby="check-head">
    <div class="ruled-head">
      <h2 id="check-head">Is the book whole?</h2>
      <VBtn class="no-print" variant="outlined" :loading="checking" @click="walk">Walk the whole chain</VBtn>
    </div>
    <p class="soft">
      Each record is sealed with the one before it. With it are sealed the rows of the shop that it wrote. What was
      changed, taken out or put in shows here, all of it.
    </p>
    <LoadProblem v-if="problem" :problem="problem" @again="walk" />
    <div v-if="check" role="status" class="stack-tight">
      <p v-if="sound" class="caution good">
        <strong>Unbroken.</strong> {{ number(check.records, 0) }} records walked and {{ number(check.rows, 0) }} rows
        held against them in {{ number(check.ms / 1000, 1) }} s.
      </p>
      <div v-else class="caution grave stack-tight">
        <p>
          <strong>Not as the book says, in {{ number(check.found, 0) }} {{ check.found === 1 ? 'place' : 'places' }}.</strong>
          Do not go on alone: put a copy of the database aside and call whoever keeps your back-ups.
        </p>
        <ul class="found">
          <li v-for="(finding, i) in check.findings.slice(0, SHOWN)" :key="i">{{ findingWords(finding) }}</li>
          <li v-if="check.found > SHOWN">
            and {{ number(check.found - SHOWN, 0) }} more: <span class="code">npm run verify-book</span> lists them.
          </li>
        </ul>
      </div>
      <p v-if="check.contradicting.length" class="caution">
        What was told of {{ check.contradicting.length === 1 ? 'one lot' : `${check.contradicting.length} lots` }} contradicts
        itself:
        <LotCode v-for="code in check.contradicting.slice(0, SHOWN)" :key="code" :code="code" class="mr-2" />
        The book is none the worse; each lot's page says which two steps, and voids one.
      </p>
      <p class="small">
        Last record walked: {{ check.end.id }}. Its seal, to note on paper:
        <span class="code seal">{{ check.end.hash }}</span>
      </p>
      <p v-if="check.changeable" class="caution">
        The application's database user may change or remove records. Start with <span class="code">npm start</span> and
        the owner's database address once: it takes that right away.
      </p>
    </div>
  </section>
</template>

<style scoped>
.good {
  border-left-color: var(--moss);
  background: var(--moss-wash);
}
.found {
  margin: 0;
  padding-left: 1.2rem;
}
.seal {
  white-space: normal;
  overflow-wrap: anywhere;
  font-weight: 400;
}
</style>
