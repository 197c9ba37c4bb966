<script setup lang="ts">
import { ref } from 'vue'
import type { FryVerdict, SaltTaste } from '#core/life/kinds/fry-test'
import { SALT_WORDS } from '#shared/steps/fry-test'
import ChipStep from '../ChipStep.vue'
import type { AskEvents, AskProps } from '../ask-row'

/** A slice from the middle, fried and tasted: how salty, and whether it goes back into the water. */
defineProps<AskProps>()
const emit = defineEmits<AskEvents>()
const TASTES = ([1, 2, 3, 4, 5] as const).map(salt => ({ value: String(salt), words: `${salt}: ${SALT_WORDS[salt]}` }))
const VERDICTS = [
  { value: 'done', words: 'Done, no more water' },
  { value: 'again', words: 'Soak it again' },
] as const
const salt = ref<SaltTaste | null>(null)
const taste = (value: string) => (salt.value = Number(value) as SaltTaste)
const decide = (verdict: FryVerdict) =>
  emit(
    'tell',
    [{ kind: 'fry_test', salt: salt.value!, verdict }],
    `fried a slice, ${SALT_WORDS[salt.value!]}${verdict === 'again' ? ', to be soaked again' : ''}.`,
  )
</script>

<template>
  <div>
    <ChipStep
      v-if="salt === null"
      label="How salty is a fried slice?"
      :choices="TASTES"
      :saving="saving"
      @choose="taste"
      @close="emit('close')"
    >
      <p class="caution">Fry it through before anybody tastes it: it is not cooked yet.</p>
    </ChipStep>
    <ChipStep
      v-else
      :label="`${SALT_WORDS[salt]}: what now?`"
      :choices="VERDICTS"
      :saving="saving"
      @choose="decide"
      @close="salt = null"
    />
  </div>
</template>
