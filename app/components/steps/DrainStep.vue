<script setup lang="ts">
import { ref } from 'vue'
import { ROUGH_WORDS } from '~/words/step-words'
import ChipStep from './ChipStep.vue'
import type { ToldStep } from './press'

defineProps<{ saving: boolean }>()
const emit = defineEmits<{ tell: [steps: ToldStep[], words: string]; close: [] }>()

type Rough = keyof typeof ROUGH_WORDS
type Choice = Rough | 'weighed' | 'not_seen'
const CHOICES: { value: Choice; words: string }[] = [
  { value: 'few_spoons', words: 'A few spoons' },
  { value: 'cup', words: 'A cup' },
  { value: 'more', words: 'More' },
  { value: 'weighed', words: 'Weighed…' },
  { value: 'not_seen', words: 'Nobody saw how much' },
]
const weighing = ref(false)
const typed = ref('')

type Liquid = Extract<ToldStep, { kind: 'drain' }>['liquid']
const tell = (liquid: Liquid, words: string) =>
  emit('tell', [{ kind: 'drain', how: 'poured_off', liquid, back: false, saltLies: false }], `drained, ${words}.`)

function choose(choice: Choice) {
  if (choice === 'weighed') weighing.value = true
  else if (choice === 'not_seen') tell(null, 'nobody saw how much')
  else tell({ told: 'rough', rough: choice }, ROUGH_WORDS[choice])
}
</script>

<template>
  <ChipStep label="How much was poured off?" :choices="CHOICES" :saving="saving" @choose="choose" @close="emit('close')">
    <form
      v-if="weighing"
      class="weighed"
      @submit.prevent="tell({ told: 'weighed', weight: typed }, typed)"
    >
      <VTextField v-model="typed" label="Weight of the liquid" autofocus hide-details autocomplete="off" />
      <VBtn type="submit" color="primary" :loading="saving" :disabled="typed.trim() === ''">Save</VBtn>
    </form>
  </ChipStep>
</template>

<style scoped>
.weighed {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0.4rem;
  align-items: center;
}
</style>
