<script setup lang="ts">
import { ref } from 'vue'
import { MEAT_RANGE } from '#shared/contracts/steps'
import InstrumentSelect from '~/components/common/InstrumentSelect.vue'
import WeightField from '~/components/common/WeightField.vue'
import AskHead from './AskHead.vue'
import PickOne from './PickOne.vue'
import type { ToldStep } from './press'

/** The meat on the scale, all the pieces meant together: what it lost bounds what ran off unseen. */
defineProps<{ saving: boolean }>()
const emit = defineEmits<{ tell: [steps: ToldStep[], words: string]; close: [] }>()
const SALT = [{ value: 'lies', words: 'Salt lies on it still' }] as const
const salt = ref<'lies' | null>(null)
const typed = ref('')
const scaleId = ref<number | null>(null)
function tell(): void {
  const step: ToldStep = { kind: 'weigh', weight: typed.value, scaleId: scaleId.value, saltLies: salt.value !== null }
  emit('tell', [step], `weighed, ${typed.value.trim()}.`)
}
</script>

<template>
  <form class="weigh" aria-label="Weigh the meat" @submit.prevent="tell" @keydown.esc="emit('close')">
    <AskHead asks="What does the meat weigh, before its rinse, without bag and tray?" @close="emit('close')" />
    <WeightField v-model="typed" label="Weight, all together" :range="MEAT_RANGE" />
    <InstrumentSelect v-model="scaleId" kind="scale" purpose="meat" prefer="meat" label="Weighed on" />
    <PickOne v-model="salt" label="Salt" :choices="SALT" />
    <VBtn type="submit" color="primary" :loading="saving" :disabled="typed.trim() === ''">Save</VBtn>
  </form>
</template>

<style scoped>
.weigh {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.4rem;
  align-items: start;
}
@media (--phone) {
  .weigh {
    grid-template-columns: 1fr;
  }
}
.weigh .v-btn {
  min-width: 56px;
  min-height: 56px;
}
</style>
