<script setup lang="ts">
import { reactive } from 'vue'
import { ownPasswordInput, pinInput } from '#shared/contracts/people'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

const props = defineProps<{ hasPin: boolean }>()
const emit = defineEmits<{ saved: [] }>()
const session = useSession()
const { say } = useNotice()
const pass = reactive({ password: '', next: '' })
const sign = reactive({ password: '', pin: '' })
const passSave = useSave(ownPasswordInput)
const pinSave = useSave(pinInput)
async function changePassword(): Promise<void> {
  if (!(await passSave.save('/api/me/password', { ...pass }, 'PUT'))) return
  Object.assign(pass, { password: '', next: '' })
  say('The password is changed. Your other devices are signed out.')
}
async function choosePin(): Promise<void> {
  if (!(await pinSave.save('/api/me/pin', { ...sign }, 'PUT'))) return
  Object.assign(sign, { password: '', pin: '' })
  say('With this PIN you sign on shared tablets.')
  emit('saved')
}
</script>

<template>
  <section id="account" class="stack-tight" aria-labelledby="account-head">
    <h2 id="account-head">My password and PIN</h2>
    <p v-if="session.mayWrite" class="small soft">
      The PIN signs records on a shared tablet; choosing it takes the password.
    </p>
    <form v-if="session.mayWrite" class="fields" @submit.prevent="choosePin">
      <VTextField
        v-model="sign.password"
        label="My password"
        type="password"
        autocomplete="current-password"
        :error-messages="pinSave.errorAt('password')"
      />
      <VTextField
        v-model="sign.pin"
        :label="props.hasPin ? 'New PIN, 4 to 6 digits' : 'PIN, 4 to 6 digits'"
        type="password"
        inputmode="numeric"
        maxlength="6"
        autocomplete="off"
        :error-messages="pinSave.errorAt('pin')"
      />
      <VBtn type="submit" variant="outlined" :loading="pinSave.saving.value">
        {{
          props.hasPin ? 'Change the PIN' : 'Choose the PIN'
        }}
      </VBtn>
      <SaveProblem class="wide" :message="pinSave.message.value" />
    </form>
    <form class="fields" @submit.prevent="changePassword">
      <VTextField
        v-model="pass.password"
        label="My password now"
        type="password"
        autocomplete="current-password"
        :error-messages="passSave.errorAt('password')"
      />
      <VTextField
        v-model="pass.next"
        label="New password"
        type="password"
        autocomplete="new-password"
        :error-messages="passSave.errorAt('next')"
      />
      <VBtn type="submit" variant="outlined" :loading="passSave.saving.value">Change it</VBtn>
      <SaveProblem class="wide" :message="passSave.message.value" />
    </form>
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr 11rem;
  gap: 0.6rem;
  align-items: start;
}
.wide {
  grid-column: 1 / -1;
}
@media (--phone) {
  .fields {
    grid-template-columns: 1fr;
  }
}
</style>
