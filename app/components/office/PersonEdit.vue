<script setup lang="ts">
import { reactive, ref } from 'vue'
import { passwordResetInput, personChangeInput, ROLES, type PersonView } from '#shared/contracts/people'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'

/** One account, changed by the owner. */
const props = defineProps<{ person: PersonView }>()
const emit = defineEmits<{ saved: [] }>()
const { say } = useNotice()
const { name, initials, role, active } = props.person
const form = reactive({ name, initials, role, active })
const password = ref('')
const change = useSave(personChangeInput)
const reset = useSave(passwordResetInput)
async function keep(): Promise<void> {
  if (!(await change.save(`/api/office/people/${props.person.id}`, { ...form }, 'PUT'))) return
  say(`${form.name}: changed, and in the book.`)
  emit('saved')
}
async function give(): Promise<void> {
  if (!(await reset.save(`/api/office/people/${props.person.id}/password`, { password: password.value }, 'PUT'))) return
  say(`${props.person.name} is signed out everywhere and signs in with the new password.`)
  emit('saved')
}
</script>

<template>
  <div class="slip stack-tight">
    <form class="fields" @submit.prevent="keep">
      <VTextField v-model="form.name" label="Full name" :error-messages="change.errorAt('name')" />
      <VTextField v-model="form.initials" label="Initials" maxlength="4" :error-messages="change.errorAt('initials')" />
      <VSelect v-model="form.role" :items="[...ROLES]" label="Role" :error-messages="change.errorAt('role')" />
      <VCheckbox
        v-model="form.active"
        label="Account open"
        hide-details="auto"
        :error-messages="change.errorAt('active')"
      />
      <VBtn type="submit" variant="outlined" :loading="change.saving.value">Keep the change</VBtn>
      <SaveProblem class="wide" :message="change.message.value" />
    </form>
    <form class="fields" @submit.prevent="give">
      <VTextField
        v-model="password"
        label="New password"
        type="password"
        autocomplete="new-password"
        :error-messages="reset.errorAt('password')"
      />
      <VBtn type="submit" variant="outlined" :loading="reset.saving.value">Give a new password</VBtn>
      <SaveProblem class="wide" :message="reset.message.value" />
    </form>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.6rem;
  align-items: start;
  margin: 0.4rem 0;
}
.wide {
  grid-column: 1 / -1;
}
.fields :deep(.v-label) {
  opacity: 1;
}
</style>
