<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { z } from 'zod'
import SaveProblem from './SaveProblem.vue'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

/** Something is taken back, set right or held, and somebody says why. The `opener` slot holds the button to it. */
const props = defineProps<{
  /** What is done, as the heading and the name of the dialog say it. */
  title: string
  verb: string
  /** The question for the reason, and the name that the reason has in the contract. */
  why: string
  field: string
  contract: z.ZodType
  path: string
  /** What is sent beside the reason. */
  body?: Record<string, unknown>
  /** The refusal that is asked back: pressed once more, it is meant so. */
  insists?: string
  /** Another field stands before it, and takes the keyboard. */
  valueFirst?: boolean
  /** What is said when it is recorded. */
  said: string
}>()
const emit = defineEmits<{ begun: []; done: [] }>()
const session = useSession()
const { say } = useNotice()
const { save, saving, message, problem, errorAt, forget } = useSave(props.contract)
/** Asked back, the same button says that it is so. */
const askedBack = computed(() => props.insists !== undefined && problem.value?.code === props.insists)
// What was asked was asked of what was typed then.
watch(() => JSON.stringify(props.body), forget)
const open = ref(false)
const reason = ref('')

function begin(): void {
  reason.value = ''
  forget()
  emit('begun')
  open.value = true
}
async function set(): Promise<void> {
  const sure = askedBack.value ? { sure: true } : {}
  if (!(await save(props.path, { ...props.body, ...sure, [props.field]: reason.value }))) return
  open.value = false
  say(props.said)
  emit('done')
}
</script>

<template>
  <span v-if="session.mayWrite" class="no-print">
    <slot name="opener" :begin="begin" />
    <VDialog v-model="open" :aria-label="title">
      <form class="sheet stack" @submit.prevent="set">
        <h2>{{ title }}</h2>
        <slot :error-at="errorAt" />
        <VTextField
          v-model="reason"
          :label="why"
          maxlength="500"
          :autofocus="!valueFirst"
          :error-messages="errorAt(field)"
        />
        <SaveProblem :message="message" />
        <div class="row">
          <VBtn type="submit" color="primary" :loading="saving">{{ askedBack ? 'It is so' : verb }}</VBtn>
          <VBtn variant="outlined" @click="open = false">Leave it</VBtn>
        </div>
      </form>
    </VDialog>
  </span>
</template>

<style scoped>
.sheet {
  background: var(--bone);
  color: var(--peat);
  padding: 1.4rem;
}
</style>
