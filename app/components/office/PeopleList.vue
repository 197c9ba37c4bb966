<script setup lang="ts">
import { reactive, ref } from 'vue'
import { personInput, ROLES, type PersonView } from '#shared/contracts/people'
import PersonEdit from './PersonEdit.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

defineProps<{ people: PersonView[] }>()
const emit = defineEmits<{ saved: [] }>()
const session = useSession()
const { say } = useNotice()
const adding = ref(false)
const editing = ref<number | null>(null)
function changed(): void {
  editing.value = null
  emit('saved')
}
const empty = () => ({ name: '', initials: '', signIn: '', password: '', role: 'maker' as (typeof ROLES)[number] })
const form = reactive(empty())
const { save, saving, errorAt, message } = useSave(personInput)
async function add(): Promise<void> {
  if (!(await save('/api/office/people', { ...form }))) return
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
        <thead>
          <tr>
            <th scope="col">Initials</th>
            <th scope="col">Name</th>
            <th scope="col">Sign-in</th>
            <th scope="col">May</th>
            <th scope="col">PIN</th>
            <th v-if="session.isOwner" scope="col"><span class="visually-hidden">Change</span></th>
          </tr>
        </thead>
        <tbody>
          <template v-for="p in people" :key="p.id">
            <tr :class="{ soft: !p.active }">
              <td>
                <strong>{{ p.initials }}</strong>
              </td>
              <td>{{ p.name }}</td>
              <td>{{ p.signIn }}</td>
              <td>
                {{
                  !p.active
                    ? 'account closed'
                    : p.role === 'owner'
                      ? 'all, and decide on holds'
                      : p.role === 'maker'
                        ? 'record'
                        : 'read only (inspector)'
                }}
              </td>
              <td>{{ p.hasPin ? 'chosen' : '–' }}</td>
              <td v-if="session.isOwner">
                <VBtn
                  class="slim"
                  variant="outlined"
                  :aria-expanded="editing === p.id"
                  @click="editing = editing === p.id ? null : p.id"
                >
                  {{ editing === p.id ? 'Put aside' : 'Change'
                  }}<span class="visually-hidden"> {{ p.name }}</span>
                </VBtn>
              </td>
            </tr>
            <tr v-if="editing === p.id">
              <td :colspan="6"><PersonEdit :person="p" @saved="changed" /></td>
            </tr>
          </template>
        </tbody>
      </table>
    </div>
    <template v-if="session.isOwner">
      <div>
        <VBtn variant="outlined" @click="adding = !adding">
          {{
            adding ? 'Put aside' : 'Add a person'
          }}
        </VBtn>
      </div>
      <form v-if="adding" class="fields" @submit.prevent="add">
        <VTextField v-model="form.name" label="Full name" :error-messages="errorAt('name')" />
        <VTextField v-model="form.initials" label="Initials" maxlength="4" :error-messages="errorAt('initials')" />
        <VTextField
          v-model="form.signIn"
          label="Sign-in name"
          autocapitalize="none"
          autocomplete="off"
          :error-messages="errorAt('signIn')"
        />
        <VTextField
          v-model="form.password"
          label="First password"
          type="password"
          autocomplete="new-password"
          :error-messages="errorAt('password')"
        />
        <VSelect v-model="form.role" :items="[...ROLES]" label="Role" />
        <VBtn type="submit" color="primary" :loading="saving">Add</VBtn>
        <SaveProblem :message="message" />
      </form>
    </template>
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.6rem;
}
</style>
