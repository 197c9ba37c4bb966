<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { PARTIES_SHOWN, partyInput, type PartyFound, type PartyView } from '#shared/contracts/store'
import SaveProblem from '~/components/common/SaveProblem.vue'
import LoadProblem from '~/components/common/LoadProblem.vue'
import { useParties } from '~/composables/use-parties'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

/** Who it comes from and who it goes to: whom to call when something is wrong. */
const props = defineProps<{ first: PartyFound }>()
const emit = defineEmits<{ saved: [] }>()
const session = useSession()
const { say } = useNotice()
/** The one that is open; 0 is one to be added. */
const open = ref<number | null>(null)
const { find, found, problem, load } = useParties()
/** The first came with the page; what was looked for is asked for again when one of them changes. */
watch(() => props.first, first => (find.value.trim() ? void load() : (found.value = first)), { immediate: true })
const nobody = computed(() => !find.value.trim() && !found.value.rows.length)
const form = reactive({ kind: 'supplier' as PartyView['kind'], name: '', contact: '', approval: '', note: '' })
const { save, saving, errorAt, message, forget } = useSave(partyInput)
function begin(party: PartyView | null): void {
  forget()
  open.value = party?.id ?? 0
  Object.assign(form, {
    kind: party?.kind ?? 'supplier',
    name: party?.name ?? '',
    contact: party?.contact ?? '',
    approval: party?.approval ?? '',
    note: party?.note ?? '',
  })
}
async function keep(): Promise<void> {
  const { kind, ...rest } = {
    ...form,
    contact: form.contact || null,
    approval: form.approval || null,
    note: form.note || null,
  }
  const done
    = open.value === 0
      ? await save('/api/parties', { kind, ...rest })
      : await change.save(`/api/parties/${open.value}`, rest, 'PUT')
  if (!done) return
  open.value = null
  say(`${form.name} is kept.`)
  emit('saved')
}
const change = useSave(partyInput.omit({ kind: true }))
</script>

<template>
  <section class="stack-tight" aria-labelledby="parties-head">
    <div class="ruled-head">
      <h2 id="parties-head">Suppliers and customers</h2>
      <VBtn v-if="session.mayWrite" variant="outlined" @click="begin(null)">Add one</VBtn>
    </div>
    <form v-if="open !== null" class="slip fields" @submit.prevent="keep">
      <VSelect
        v-if="open === 0"
        v-model="form.kind"
        :items="[
          { value: 'supplier', title: 'supplier' },
          { value: 'customer', title: 'customer' },
        ]"
        label="Is a"
      />
      <VTextField v-model="form.name" label="Name" :error-messages="errorAt('name') ?? change.errorAt('name')" />
      <VTextField
        v-model="form.contact"
        label="Telephone, address"
        :error-messages="errorAt('contact') ?? change.errorAt('contact')"
      />
      <VTextField
        v-model="form.approval"
        label="Approval or establishment number"
        :error-messages="errorAt('approval') ?? change.errorAt('approval')"
      />
      <VTextField v-model="form.note" label="Note" maxlength="500" />
      <div class="row">
        <VBtn type="submit" color="primary" :loading="saving || change.saving.value">Keep</VBtn>
        <VBtn variant="outlined" @click="open = null">Put aside</VBtn>
      </div>
      <SaveProblem class="full" :message="message || change.message.value" />
    </form>
    <p v-if="nobody" class="empty">
      Nobody yet. Whoever is named in a delivery or a sending stands here from then on.
    </p>
    <VTextField
      v-if="first.more || find"
      v-model="find"
      label="Find by name"
      autocomplete="off"
      class="find-party"
    />
    <LoadProblem v-if="problem" :problem="problem" @again="load" />
    <p v-else-if="find.trim() && !found.rows.length" class="empty">Nobody’s name has “{{ find.trim() }}” in it.</p>
    <p v-else-if="found.more" class="soft">The first {{ PARTIES_SHOWN }} by name. Others are found by a part of theirs.</p>
    <div v-if="found.rows.length" class="scroll-x">
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col">Is a</th>
            <th scope="col">Telephone, address</th>
            <th scope="col">Approval number</th>
            <th scope="col">Note</th>
            <th v-if="session.mayWrite" scope="col"><span class="visually-hidden">Change</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="party in found.rows" :key="party.id">
            <td>
              <strong>{{ party.name }}</strong>
            </td>
            <td>{{ party.kind }}</td>
            <td>{{ party.contact ?? '–' }}</td>
            <td>{{ party.approval ?? '–' }}</td>
            <td>{{ party.note ?? '' }}</td>
            <td v-if="session.mayWrite" class="num">
              <VBtn class="slim" variant="outlined" :aria-label="`Change ${party.name}`" @click="begin(party)">Change</VBtn>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.find-party {
  max-width: 26rem;
}
.fields {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0.6rem;
  align-items: start;
}
.full {
  grid-column: 1 / -1;
}
@media (--narrow) {
  .fields {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
