<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { fridgeInput, type InstrumentView } from '#shared/contracts/instruments'
import type { OfficeView } from '#shared/contracts/office'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

const props = defineProps<{ fridges: OfficeView['fridges']; instruments: InstrumentView[] }>()
const emit = defineEmits<{ saved: [] }>()
const session = useSession()
const { say } = useNotice()
/** The fridge that is open; 0 is one to be added. */
const open = ref<number | null>(null)
const form = reactive({ name: '', thermometerId: null as number | null })
const { save, saving, errorAt, message } = useSave(fridgeInput)
const thermometers = computed(() => [
  { value: null, title: 'none named' },
  ...props.instruments.filter(one => one.kind === 'thermometer').map(one => ({ value: one.id, title: one.name })),
])
const nameOf = (id: number | null) => props.instruments.find(one => one.id === id)?.name ?? 'none named'
function begin(id: number, fridge: { name: string; thermometerId: number | null }): void {
  open.value = open.value === id ? null : id
  Object.assign(form, { name: fridge.name, thermometerId: fridge.thermometerId })
}
async function keep(): Promise<void> {
  const done
    = open.value === 0
      ? await save('/api/office/fridges', { ...form })
      : await save(`/api/office/fridges/${open.value}`, { ...form }, 'PUT')
  if (!done) return
  open.value = null
  say(`${form.name} is kept.`)
  emit('saved')
}
</script>

<template>
  <section class="stack-tight" aria-labelledby="fridges-head">
    <h2 id="fridges-head">Fridges</h2>
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">Fridge</th>
          <th scope="col">Read on</th>
          <th v-if="session.isOwner" scope="col"><span class="visually-hidden">Change</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="fridge in fridges" :key="fridge.id">
          <td>
            <strong>{{ fridge.name }}</strong>
          </td>
          <td>{{ nameOf(fridge.thermometerId) }}</td>
          <td v-if="session.isOwner" class="num">
            <VBtn class="slim" variant="outlined" :aria-label="`Change ${fridge.name}`" @click="begin(fridge.id, fridge)">
              Change
            </VBtn>
          </td>
        </tr>
      </tbody>
    </table>
    <div v-if="session.isOwner">
      <VBtn variant="outlined" @click="begin(0, { name: '', thermometerId: null })">Add a fridge</VBtn>
    </div>
    <form v-if="open !== null" class="slip fields" @submit.prevent="keep">
      <VTextField v-model="form.name" label="Fridge" :error-messages="errorAt('name')" />
      <VSelect
        v-model="form.thermometerId"
        :items="thermometers"
        label="Read on"
        :error-messages="errorAt('thermometerId')"
      />
      <VBtn type="submit" color="primary" :loading="saving">Keep</VBtn>
      <SaveProblem class="full" :message="message" />
    </form>
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 0.6rem;
  align-items: start;
}
.full {
  grid-column: 1 / -1;
}
@media (--phone) {
  .fields {
    grid-template-columns: 1fr;
  }
}
</style>
