<script setup lang="ts">
import { computed, reactive } from 'vue'
import { instrumentInput } from '#shared/contracts/instruments'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useNotation } from '~/composables/use-notation'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'

const emit = defineEmits<{ saved: [] }>()
const { as } = useNotation()
const { say } = useNotice()
const form = reactive({ what: 'mix' as 'mix' | 'meat' | 'thermometer' | 'hygrometer', name: '', step: '', everyDays: '30' })
const KINDS = [
  { value: 'mix', title: 'scale for the cure' },
  { value: 'meat', title: 'scale for meat' },
  { value: 'thermometer', title: 'thermometer' },
  { value: 'hygrometer', title: 'hygrometer' },
]
const { save, saving, errorAt, message } = useSave(instrumentInput)
const body = computed(() => {
  const common = { name: form.name, everyDays: Number(form.everyDays) }
  if (form.what === 'hygrometer') return { kind: 'hygrometer', ...common, readability: form.step }
  return form.what === 'thermometer'
    ? { kind: 'thermometer', ...common, readability: { typed: form.step, unit: as.value.temperature } }
    : { kind: 'scale', ...common, purpose: form.what, readabilityG: form.step }
})
const stepUnit = computed(() =>
  form.what === 'thermometer' ? `°${as.value.temperature}` : form.what === 'hygrometer' ? '% RH' : 'g',
)
async function add(): Promise<void> {
  if (!(await save('/api/office/instruments', body.value))) return
  say(`${form.name} can be chosen. Check it before you trust it.`)
  emit('saved')
}
</script>

<template>
  <form class="slip fields" @submit.prevent="add">
    <VSelect v-model="form.what" :items="KINDS" label="Kind" />
    <VTextField v-model="form.name" label="Name" :error-messages="errorAt('name')" />
    <VTextField
      v-model="form.step"
      label="Reads to"
      :suffix="stepUnit"
      inputmode="decimal"
      :error-messages="errorAt('readabilityG') ?? errorAt('readability')"
    />
    <VTextField
      v-model="form.everyDays"
      label="Check every"
      suffix="days"
      inputmode="numeric"
      :error-messages="errorAt('everyDays')"
    />
    <VBtn type="submit" color="primary" :loading="saving">Add</VBtn>
    <SaveProblem class="full" :message="message" />
  </form>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr)) auto;
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
