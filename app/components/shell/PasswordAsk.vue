<script setup lang="ts">
import { ref, watch } from 'vue'
import { confirmInput } from '#shared/contracts/people'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useSave } from '~/composables/use-save'
import { usePasswordQuestion } from '~/stores/password-question'

/** What was pressed waits until the person at this device shows that it is theirs. */
const question = usePasswordQuestion()
const password = ref('')
const { save, saving, errorAt, message, forget } = useSave(confirmInput)
watch(
  () => question.asking,
  () => {
    password.value = ''
    forget()
  },
)
async function give(): Promise<void> {
  if (await save('/api/me/confirm', { password: password.value })) question.answer(true)
  password.value = ''
}
</script>

<template>
  <VDialog
    :model-value="question.asking"
    aria-labelledby="again-head"
    max-width="440"
    @update:model-value="question.answer(false)"
  >
    <form class="ask stack" @submit.prevent="give">
      <h2 id="again-head">Your own password once more</h2>
      <p>This changes who may open the door, or takes the whole shop along. It stands for five minutes.</p>
      <VTextField
        v-model="password"
        label="My password"
        type="password"
        autocomplete="current-password"
        autofocus
        :error-messages="errorAt('password')"
      />
      <SaveProblem :message="message" lead="Nothing is changed yet." />
      <VBtn type="submit" color="primary" block :loading="saving">Go on</VBtn>
      <VBtn variant="text" block @click="question.answer(false)">Leave it; nothing is changed</VBtn>
    </form>
  </VDialog>
</template>

<style scoped>
.ask {
  background: var(--bone);
  color: var(--peat);
  padding: 1.3rem;
}
</style>
