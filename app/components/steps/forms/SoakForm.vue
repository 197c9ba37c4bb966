<script setup lang="ts">
import { LASTED_RANGE_MINUTES, SOAK_RANGE_L } from '#core/rules/ranges'
import { computed, ref } from 'vue'
import NumberField from '~/components/common/NumberField.vue'
import TemperatureField from '~/components/common/TemperatureField.vue'
import { useNotation } from '~/composables/use-notation'
import AskHead from '../AskHead.vue'
import PickOne from '../PickOne.vue'
import type { PressStep } from '~/logic/press'
import type { AskEvents, AskProps } from '../ask-row'

/**
 * A soak: into the water now, or for how long it lay there; how much water, how warm, how often changed, where somebody
 * knows.
 */
defineProps<AskProps>()
const emit = defineEmits<AskEvents>()
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
const own = ref<number | null>(null)
const litres = ref<number | null>(null)
const water = ref('')
/** Null: it goes in now. */
const minutes = computed(() => {
  if (own.value !== null) return Math.round(own.value)
  return lasted.value === '0' || lasted.value === null ? null : Number(lasted.value)
})
/** The minutes from which a soak may take so much along that the stricter rule holds. */
const LONG_MINUTES = 90
const isLong = computed(() => (minutes.value ?? 0) > LONG_MINUTES)
function tell(): void {
  const step: PressStep = {
    kind: 'soak',
    minutes: minutes.value,
    litres: litres.value === null ? null : String(litres.value),
    water: water.value.trim() === '' ? null : { typed: water.value, unit: as.value.temperature },
    changes: Number(changes.value ?? 0),
  }
  emit('tell', [step], minutes.value === null ? 'in the water.' : `soaked for ${minutes.value} min.`)
}
</script>

<template>
  <form class="soak" aria-label="Soaked" @submit.prevent="tell" @keydown.esc="emit('close')">
    <AskHead asks="How long did it lie in the water?" @close="emit('close')" />
    <PickOne v-model="lasted" class="wide" label="How long" :choices="LASTED" />
    <NumberField v-model="own" label="Or minutes" optional :min="LASTED_RANGE_MINUTES.min" :max="LASTED_RANGE_MINUTES.max" />
    <NumberField v-model="litres" label="Litres, if measured" optional :min="SOAK_RANGE_L.min" :max="SOAK_RANGE_L.max" />
    <TemperatureField v-model="water" label="Water, if measured" />
    <PickOne v-model="changes" label="Changes of the water" :choices="CHANGES" />
    <p v-if="isLong" class="caution wide">
      The longer and warmer, the more nitrite goes along; what stayed may then show no more than the stricter rule for its
      cooling. Cold water takes less: say how cold it is.
    </p>
    <VBtn type="submit" class="wide" color="primary" :loading="saving">Save</VBtn>
  </form>
</template>

<style scoped>
.soak {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.4rem;
  align-items: start;
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
