<script setup lang="ts">
import { reactive, ref } from 'vue'
import { personInput, ROLES } from '#shared/contracts/people'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

defineProps<{ people: { name: string, initials: string, signIn: string, role: string }[] }>()
const emit = defineEmits<{ saved: [] }>()
const session = useSession()
const { say } = useNotice()
const adding = ref(false)
const empty = () => ({ name: '', initials: '', signIn: '', password: '', role: 'maker' as (typeof ROLES)[number] })
const form = reactive(empty())
const { save, saving, errorAt, message } = useSave(personInput)
async function add(): Promise<void> {
  if (!await save('/api/office/people', { ...form })) return
  say(`${form.name} can sign in.`)
  Object.assign(form, empty())
  adding.value = false
  emit('saved')
}
</script>

<template>
  <section class="stack-tight" aria-labelledby="people-head">
    <h2 id="people-head">People</h2>
    <div class="scroll-x">
      <table class="ruled">
        <thead><tr><th scope="col">Initials</th><th scope="col">Name</th><th scope="col">Sign-in</th><th scope="col">May</th></tr></thead>
        <tbody><tr v-for="p in people" :key="p.signIn"><td><strong>{{ p.initials }}</strong></td><td>{{ p.name }}</td><td>{{ p.signIn }}</td><td>{{ p.role === 'owner' ? 'all, and decide on holds' : p.role === 'maker' ? 'record' : 'read only (inspector)' }}</td></tr></tbody>
      </table>
    </div>
    <template v-if="session.isOwner">
      <div><VBtn class="floor" variant="outlined" @click="adding = !adding">{{ adding ? 'Put aside' : 'Add a person' }}</VBtn></div>
      <form v-if="adding" class="fields" @submit.prevent="add">
        <VTextField v-model="form.name" label="Full name" :error-messages="errorAt('name')" />
        <VTextField v-model="form.initials" label="Initials" maxlength="4" :error-messages="errorAt('initials')" />
        <VTextField v-model="form.signIn" label="Sign-in name" autocapitalize="none" autocomplete="off" :error-messages="errorAt('signIn')" />
        <VTextField v-model="form.password" label="First password" type="password" autocomplete="new-password" :error-messages="errorAt('password')" />
        <VSelect v-model="form.role" :items="[...ROLES]" label="Role" />
        <VBtn type="submit" class="floor" color="primary" :loading="saving">Add</VBtn>
        <SaveProblem :message="message" />
      </form>
    </template>
  </section>
</template>

<style scoped>
.fields { display: grid; grid-template-columns: 1fr 1fr; gap: .6rem; }
</style>
