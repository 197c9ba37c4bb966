<script setup lang="ts">
import { reactive } from 'vue'
import { navigateTo } from '#imports'
import { setupInput } from '#shared/contracts/people'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

const session = useSession()
const zones = Intl.supportedValuesOf('timeZone')
const form = reactive({
  shopName: '', zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  owner: { name: '', initials: '', signIn: '', password: '' },
})
const { save, saving, errorAt, message } = useSave(setupInput)

async function open(): Promise<void> {
  if (!await save('/api/setup', form)) return
  await session.load()
  await navigateTo('/')
}
</script>

<template>
  <form class="door stack" @submit.prevent="open">
    <div>
      <h1>Open the shop</h1>
      <p>The book starts here: name the shop, say where its clock hangs, and make the owner's account.</p>
    </div>
    <VTextField v-model="form.shopName" label="Shop's name" :error-messages="errorAt('shopName')" autofocus />
    <VAutocomplete v-model="form.zone" :items="zones" label="Time zone" variant="filled" :error-messages="errorAt('zone')" hint="Cure days are counted by this clock." persistent-hint />
    <h2>Owner</h2>
    <VTextField v-model="form.owner.name" label="Full name" autocomplete="name" :error-messages="errorAt('owner.name')" />
    <VTextField v-model="form.owner.initials" label="Initials, as on the labels" maxlength="4" :error-messages="errorAt('owner.initials')" />
    <VTextField v-model="form.owner.signIn" label="Sign-in name" autocomplete="username" autocapitalize="none" :error-messages="errorAt('owner.signIn')" />
    <VTextField v-model="form.owner.password" label="Password, 10 characters or more" type="password" autocomplete="new-password" :error-messages="errorAt('owner.password')" />
    <SaveProblem :message="message" />
    <VBtn type="submit" color="primary" class="floor" :loading="saving">Open the shop</VBtn>
  </form>
</template>

<style scoped>
.door { max-width: 520px; margin: 4vh auto 0; }
</style>
