<script setup lang="ts">
import { INGREDIENT_RANGE } from '#shared/contracts/fields'
import { ingredientInput } from '#shared/contracts/store'
import type { FileView } from '#shared/contracts/files'
import FileField from '~/components/common/FileField.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import WeightField from '~/components/common/WeightField.vue'
import { useDraft } from '~/composables/use-draft'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'

defineProps<{ suppliers: string[] }>()
const emit = defineEmits<{ saved: [] }>()
const recorded = useRecorded()
const KINDS = [{ value: 'curing_salt', title: 'Curing salt' }, { value: 'salt', title: 'Salt' }, { value: 'sugar', title: 'Sugar' }, { value: 'spice', title: 'Spice' }]
const COMPOUNDS = [{ value: 'NaNO2', title: 'sodium nitrite' }, { value: 'KNO2', title: 'potassium nitrite' }, { value: 'NO2', title: 'nitrite ion' }]
const { draft, clear } = useDraft('ingredient', () => ({
  kind: 'curing_salt', name: 'Curing salt no. 1', supplier: '', supplierLot: '', amount: '', bestBefore: '',
  certificate: { number: '', nitritePercent: '6.25', nitriteAs: 'NaNO2', tolerancePercent: '0.25' }, paper: null as FileView | null,
}))
const { save, saving, errorAt, message } = useSave<{ code: string }>(ingredientInput)

async function receive(): Promise<void> {
  const { bestBefore, certificate, paper, ...rest } = draft.value
  const made = await save('/api/ingredients', { ...rest, bestBefore: bestBefore || null, certificate: draft.value.kind === 'curing_salt' ? { ...certificate, fileId: paper?.id ?? null } : null })
  if (!made) return
  clear()
  recorded(`${made.code} is on the shelf.`, made.eventId, async () => emit('saved'))
  emit('saved')
}
</script>

<template>
  <form class="slip stack" aria-labelledby="dry-form" @submit.prevent="receive">
    <h2 id="dry-form">Receive an ingredient</h2>
    <VBtnToggle v-model="draft.kind" mandatory variant="outlined" aria-label="Kind"><VBtn v-for="kind in KINDS" :key="kind.value" :value="kind.value" class="floor">{{ kind.title }}</VBtn></VBtnToggle>
    <div class="slip-fields">
      <VTextField v-model="draft.name" label="Name on the label" :error-messages="errorAt('name')" />
      <VCombobox v-model="draft.supplier" :items="suppliers" label="Supplier" :error-messages="errorAt('supplier')" />
      <VTextField v-model="draft.supplierLot" label="Their lot" autocomplete="off" :error-messages="errorAt('supplierLot')" />
      <WeightField v-model="draft.amount" label="Amount" :range="INGREDIENT_RANGE" :error="errorAt('amount')" />
      <VTextField v-model="draft.bestBefore" type="date" label="Best before" :error-messages="errorAt('bestBefore')" />
    </div>
    <template v-if="draft.kind === 'curing_salt'">
      <p class="caution">From the certificate of this lot, not from memory. No certificate, no ppm.</p>
      <div class="slip-fields">
        <VTextField v-model="draft.certificate.number" label="Certificate" :error-messages="errorAt('certificate.number')" />
        <VTextField v-model="draft.certificate.nitritePercent" label="Nitrite" suffix="%" inputmode="decimal" :error-messages="errorAt('certificate.nitritePercent')" />
        <VSelect v-model="draft.certificate.nitriteAs" :items="COMPOUNDS" label="given as" />
        <VTextField v-model="draft.certificate.tolerancePercent" label="Tolerance, plus or minus" suffix="%" inputmode="decimal" :error-messages="errorAt('certificate.tolerancePercent')" />
      </div>
      <FileField v-model="draft.paper" label="The certificate, as a photo or PDF" />
    </template>
    <SaveProblem :message="message" />
    <div><VBtn type="submit" class="floor" color="primary" :loading="saving">Put on the shelf</VBtn></div>
  </form>
</template>
