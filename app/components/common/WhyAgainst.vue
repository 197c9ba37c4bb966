<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Problem } from '#shared/contracts/problem'

/**
 * Asks why it is so: it goes against its plan, or more came off the table than was brought. The chip that answers is
 * the one that records.
 */
const props = defineProps<{ problem: Problem | null; saving: boolean; closes?: boolean }>()
const emit = defineEmits<{ why: [reason: string]; close: [] }>()
const asked = computed((): Record<string, unknown> | null => {
  if (props.problem?.code === 'packs_over_asked') return { over: true }
  return props.problem?.code === 'against_plan' ? (props.problem.errors?.[0]?.params ?? {}) : null
})
const title = computed(() => (asked.value?.over ? 'Why more than was brought?' : 'Why against its plan?'))
const OFTEN = {
  early: ['Stiff throughout', 'It is thin', 'The rub was told late'],
  unheated: ['It is sold raw, and says so', 'It was heated elsewhere'],
  short: ['It rested, nobody told', 'The plan is too long for it'],
  over: ['The slabs were on another scale', 'The slabs dripped on the scale'],
} as const
const choices = computed(() =>
  (Object.keys(OFTEN) as (keyof typeof OFTEN)[]).flatMap(kind => (asked.value?.[kind] ? OFTEN[kind] : [])),
)
const typing = ref(false)
const reason = ref('')
function typed(): void {
  if (reason.value.trim().length >= 3) emit('why', reason.value.trim())
}
</script>

<template>
  <div v-if="asked" class="why" role="group" :aria-label="title">
    <VBtn
      v-for="words in choices"
      :key="words"
      variant="outlined"
      :disabled="saving"
      @click="emit('why', words)"
    >
      {{ words }}
    </VBtn>
    <VBtn v-if="!typing" variant="outlined" :disabled="saving" @click="typing = true">Another reason…</VBtn>
    <VBtn v-if="closes && !typing" variant="text" class="not" :disabled="saving" @click="emit('close')">Not yet, then</VBtn>
    <form v-if="typing" class="other" @submit.prevent="typed">
      <VTextField v-model="reason" label="Why?" maxlength="500" autofocus hide-details />
      <VBtn type="submit" color="primary" :disabled="reason.trim().length < 3" :loading="saving">Go on</VBtn>
    </form>
  </div>
</template>

<style scoped>
.why {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.4rem;
}
.why .v-btn {
  min-height: 56px;
  padding: 0 0.4rem;
}
.why :deep(.v-btn__content) {
  white-space: normal;
  line-height: 1.15;
}

.not {
  grid-column: 1 / -1;
}
.other {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0.4rem;
}
</style>
