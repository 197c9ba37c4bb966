<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed, ref } from 'vue'
import { SHORT_SOAK } from '#core/rules/house'
import { MS_PER_MINUTE } from '#core/units/quantities'
import { parseDecimal } from '#core/units/parse-decimal'
import { wordsFor } from '#shared/messages/refusals/catalogue'
import TemperatureField from '~/components/common/TemperatureField.vue'
import { useNotation } from '~/composables/use-notation'
import PickOne from './PickOne.vue'
import type { ToldStep } from './press'

/** Into the water now, or for how long it lay there; how much water, how warm, how often changed, where somebody knows. */
defineProps<{ saving: boolean }>()
const emit = defineEmits<{ tell: [steps: ToldStep[], words: string]; close: [] }>()
const { as } = useNotation()
const LASTED = [
  { value: '0', words: 'Goes in now' },
  { value: '30', words: '30 min' },
  { value: '60', words: '1 h' },
  { value: '120', words: '2 h' },
] as const
const CHANGES = [
  { value: '1', words: 'Water changed once' },
  { value: '2', words: 'Twice' },
] as const
const lasted = ref<(typeof LASTED)[number]['value'] | null>('0')
const changes = ref<(typeof CHANGES)[number]['value'] | null>(null)
const own = ref('')
const litres = ref('')
const water = ref('')
const typed = computed(() => (own.value.trim() === '' ? null : parseDecimal(own.value)))
const fault = computed(() => (typed.value && !typed.value.ok ? wordsFor(typed.value.code, {}, as.value) : ''))
/** Null: it goes in now. */
const minutes = computed(() => {
  if (typed.value?.ok) return Math.round(typed.value.value)
  return lasted.value === '0' || lasted.value === null ? null : Number(lasted.value)
})
const isLong = computed(() => (minutes.value ?? 0) * MS_PER_MINUTE > SHORT_SOAK.mostMs)
function tell(): void {
  const step: ToldStep = {
    kind: 'soak',
    minutes: minutes.value,
    litres: litres.value.trim() === '' ? null : litres.value,
    water: water.value.trim() === '' ? null : { typed: water.value, unit: as.value.temperature },
    changes: Number(changes.value ?? 0),
  }
  emit('tell', [step], minutes.value === null ? 'in the water.' : `soaked for ${minutes.value} min.`)
}
</script>

<template>
  <form class="soak" aria-label="Soaked" @submit.prevent="tell" @keydown.esc="emit('close')">
    <p class="asks">
      <span class="small">How long did it lie in the water?</span>
      <VBtn variant="text" :icon="mdiClose" aria-label="Back, nothing is recorded" @click="emit('close')" />
    </p>
    <PickOne v-model="lasted" class="wide" label="How long" :choices="LASTED" />
    <VTextField v-model="own" label="Or minutes" inputmode="numeric" autocomplete="off" :error-messages="fault" />
    <VTextField v-model="litres" label="Litres, if measured" inputmode="decimal" autocomplete="off" hide-details />
    <TemperatureField v-model="water" label="Water, if measured" />
    <PickOne v-model="changes" label="Changes of the water" :choices="CHANGES" />
    <p v-if="isLong" class="caution wide">
      Over an hour in all takes more nitrite than anybody can tell: what stayed is not shown, and it cools by the stricter
      rule.
    </p>
    <VBtn type="submit" class="wide" color="primary" :loading="saving" :disabled="fault !== ''">Save</VBtn>
  </form>
</template>

<style scoped>
.soak {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.4rem;
  align-items: start;
}
.asks {
  display: flex;
  align-items: center;
  justify-content: space-between;
  margin: 0;
  font-weight: 600;
}
.asks,
.wide {
  grid-column: 1 / -1;
}
.caution {
  margin: 0;
}
.soak .v-btn {
  min-width: 56px;
  min-height: 56px;
}
</style>
