<script setup lang="ts">
import { MEAT_RANGE } from '#core/rules/ranges'
import { computed, ref } from 'vue'
import type { Milliseconds } from '#core/units/quantities'
import type { WeighingView } from '#shared/contracts/weighing'
import { weighingWords } from '#shared/messages/weighing'
import InstrumentSelect from '~/components/common/InstrumentSelect.vue'
import LoadProblem from '~/components/common/LoadProblem.vue'
import WeightField from '~/components/common/WeightField.vue'
import { useLoaded } from '~/api/use-loaded'
import { useNotation } from '~/composables/use-notation'
import type { PressStep } from '~/logic/press'

/** The meat on the scale in place of liquid that nobody measured, with what its weight would show. */
const props = defineProps<{
  code: string
  pieces: number[]
  how: 'poured_off' | 'leaked'
  /** The words that were said of the liquid. */
  salt: 'lies' | 'went' | null
  /** When it was; null: now. */
  atMs: Milliseconds | null
  saving: boolean
}>()
const emit = defineEmits<{ tell: [step: PressStep, words: string] }>()
const { as } = useNotation()
const shows = computed(() => (view.value ? weighingWords(view.value, as.value) : ''))
const typed = ref('')
const scaleId = ref<number | null>(null)
// What is said beside it, the hour and the scale all move what the weight would show.
const { view, problem, load } = useLoaded<WeighingView>(() => {
  const query = new URLSearchParams({ how: props.how, pieces: props.pieces.join(',') })
  if (props.salt) query.set('salt', props.salt)
  if (props.atMs !== null) query.set('atMs', String(props.atMs))
  if (scaleId.value !== null) query.set('scaleId', String(scaleId.value))
  return `/api/lots/${props.code}/weighing?${query}`
})
function tell(): void {
  const weight = typed.value.trim()
  emit('tell', { kind: 'weigh', scaleId: scaleId.value, saltLies: false, weight }, `the meat weighs ${weight}`)
}
</script>

<template>
  <form class="instead" aria-label="Weigh the meat" @submit.prevent="tell">
    <p class="small wide">Before its rinse, without bag and tray, and with no salt left on it.</p>
    <p class="shows wide" aria-live="polite">{{ shows }}</p>
    <LoadProblem v-if="problem" class="wide" :problem="problem" @again="load" />
    <WeightField v-model="typed" :label="pieces.length > 1 ? 'All together' : 'Weight'" :range="MEAT_RANGE" autofocus />
    <InstrumentSelect v-model="scaleId" kind="scale" purpose="meat" prefer="meat" label="Weighed on" />
    <VBtn class="wide" type="submit" color="primary" :loading="saving" :disabled="typed.trim() === ''">Save</VBtn>
  </form>
</template>

<style scoped>
.instead {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.4rem;
  align-items: start;
}
.wide {
  grid-column: 1 / -1;
  margin: 0;
}
.shows {
  font-weight: 600;
}
.instead .v-btn {
  min-height: 56px;
}
</style>
