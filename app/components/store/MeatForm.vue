<script setup lang="ts">
import { computed } from 'vue'
import { CUTS } from '#core/rules/cuts'
import { parseTemperature } from '#core/units/parse-temperature'
import { DELIVERY_RANGE } from '#shared/contracts/fields'
import { ARRIVAL_REFUSE_C, ARRIVAL_WARN_C, meatInput } from '#shared/contracts/store'
import SaveProblem from '~/components/common/SaveProblem.vue'
import TemperatureField from '~/components/common/TemperatureField.vue'
import WeightField from '~/components/common/WeightField.vue'
import { useDraft } from '~/composables/use-draft'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'

defineProps<{ suppliers: string[] }>()
const emit = defineEmits<{ saved: [] }>()
const { as, limit } = useNotation()
const recorded = useRecorded()
const { draft, clear } = useDraft('meat', () => ({ supplier: '', supplierLot: '', cut: 'belly' as (typeof CUTS)[number], rind: 'off' as 'off' | 'on', weight: '', temperature: '', packDate: '', note: '' }))
const { save, saving, errorAt, message } = useSave<{ code: string }>(meatInput)
const arrivedC = computed(() => {
  const parsed = parseTemperature(draft.value.temperature, as.value.temperature)
  return parsed.ok ? parsed.value : null
})

async function receive(): Promise<void> {
  const { temperature, packDate, note, ...rest } = draft.value
  const made = await save('/api/meat', { ...rest, temperature: { typed: temperature, unit: as.value.temperature }, packDate: packDate || null, note: note || null })
  if (!made) return
  clear()
  recorded(`${made.code} is in the store.`, made.eventId, async () => emit('saved'))
  emit('saved')
}
</script>

<template>
  <form class="slip stack" aria-labelledby="meat-form" @submit.prevent="receive">
    <h2 id="meat-form">Receive meat</h2>
    <div class="row" role="group" aria-label="Cut">
      <VBtnToggle v-model="draft.cut" mandatory variant="outlined"><VBtn v-for="cut in CUTS" :key="cut" :value="cut" class="floor">{{ cut }}</VBtn></VBtnToggle>
      <VBtnToggle v-model="draft.rind" mandatory variant="outlined"><VBtn value="off" class="floor">Rind off</VBtn><VBtn value="on" class="floor">Rind on</VBtn></VBtnToggle>
    </div>
    <div class="slip-fields">
      <VCombobox v-model="draft.supplier" :items="suppliers" label="Supplier" :error-messages="errorAt('supplier')" />
      <VTextField v-model="draft.supplierLot" label="Their lot" class="mono" autocomplete="off" :error-messages="errorAt('supplierLot')" />
      <WeightField v-model="draft.weight" label="Weight" :range="DELIVERY_RANGE" :error="errorAt('weight')" />
      <TemperatureField v-model="draft.temperature" label="Temperature on arrival" :error="errorAt('temperature')" />
      <VTextField v-model="draft.packDate" type="date" label="Pack date" :error-messages="errorAt('packDate')" />
      <VTextField v-model="draft.note" label="Note" maxlength="500" :error-messages="errorAt('note')" />
    </div>
    <p v-if="arrivedC !== null && arrivedC > ARRIVAL_REFUSE_C" class="caution grave"><strong>Too warm to take in.</strong> Send it back, or write in the note why you keep it.</p>
    <p v-else-if="arrivedC !== null && arrivedC > ARRIVAL_WARN_C" class="caution"><strong>Warm.</strong> Above {{ limit(ARRIVAL_WARN_C) }}: chill it at once and look at it well.</p>
    <SaveProblem :message="message" />
    <div><VBtn type="submit" class="floor" color="primary" :loading="saving">Receive meat</VBtn></div>
  </form>
</template>
