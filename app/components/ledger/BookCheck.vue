<script setup lang="ts">
import { computed, ref } from 'vue'
import type { BookCheckView } from '#shared/contracts/events'
import type { Problem } from '#shared/contracts/problem'
import { read } from '~/api/client'
import LoadProblem from '~/components/common/LoadProblem.vue'
import { BREAK_WORDS } from '~/composables/break-words'
import { useNotation } from '~/composables/use-notation'

/** The whole chain, walked while you wait: unbroken, or the first record that is not what it was. */
const { number } = useNotation()
const checking = ref(false)
const check = ref<BookCheckView | null>(null)
const lost = ref<Problem | null>(null)
async function walk(): Promise<void> {
  checking.value = true
  const reply = await read<BookCheckView>('/api/book/check')
  checking.value = false
  check.value = reply.ok ? reply.value : null
  lost.value = reply.ok ? null : reply.problem
}
const sound = computed(() => check.value?.broken === null)
</script>

<template>
  <section class="stack-tight check" aria-labelledby="check-head">
    <div class="ruled-head"><h2 id="check-head">Is the book whole?</h2><VBtn class="floor no-print" variant="outlined" :loading="checking" @click="walk">Walk the whole chain</VBtn></div>
    <p class="soft">Each record is sealed with the one before it. If one was changed, taken out or put in, the walk stops there.</p>
    <LoadProblem v-if="lost" :problem="lost" @again="walk" />
    <div v-if="check" role="status" class="stack-tight">
      <p v-if="sound" class="caution good"><strong>Unbroken.</strong> {{ number(check.records, 0) }} records walked in {{ number(check.ms / 1000, 1) }} s.</p>
      <p v-else-if="check.broken" class="caution grave"><strong>Broken at record {{ check.broken.id }}:</strong> {{ BREAK_WORDS[check.broken.why] }}. The {{ number(check.records, 0) }} records before it are sound. Do not go on alone: put a copy of the database aside and call whoever keeps your back-ups.</p>
      <p class="small">Last record walked: {{ check.end.id }}. Its seal, to note on paper: <span class="code seal">{{ check.end.hash }}</span></p>
      <p v-if="check.changeable" class="caution">The application's database user may change or remove records. Start with <span class="code">npm start</span> and the owner's database address once: it takes that right away.</p>
    </div>
  </section>
</template>

<style scoped>
.good { border-left-color: var(--moss); background: var(--moss-wash); }
.seal { white-space: normal; overflow-wrap: anywhere; font-weight: 400; }
</style>
