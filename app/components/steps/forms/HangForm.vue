<script setup lang="ts">
import { computed, ref } from 'vue'
import type { PlaceView } from '#shared/contracts/places'
import { useNotation } from '~/composables/use-notation'
import StepForm from '../StepForm.vue'
import ChipStep from '../ChipStep.vue'
import type { PressStep } from '~/logic/press'
import type { AskEvents, AskProps } from '../ask-row'

/** Hung to dry by weight: in which place, and on which hooks, where the shop numbers them. */
const props = defineProps<AskProps>()
const emit = defineEmits<AskEvents>()
const { temperature } = useNotation()
const place = ref<PlaceView | null>(null)
const hooks = ref<Record<number, string>>({})
const rooms = computed(() => props.row.places.filter(one => one.uses.includes('hang')))
const wordsOf = ({ name, readings, targetC, targetRh }: PlaceView) => {
  const tempC = readings.findLast(one => one.tempC !== null)?.tempC ?? targetC
  const rh = readings.findLast(one => one.rh !== null)?.rh ?? targetRh
  return [name, tempC !== null && temperature(tempC), rh !== null && `${Math.round(rh)} %`].filter(Boolean).join(', ')
}
const choices = computed(() => rooms.value.map(one => ({ value: String(one.id), words: wordsOf(one) })))
const said = computed(() =>
  props.row.meant.flatMap(({ id }) => (/^\d+$/.test(hooks.value[id]?.trim() ?? '') ? [{ piece: id, hook: Number(hooks.value[id]) }] : [])),
)
/** Hung on the place's hooks, more than it has is said, and taken. */
const tooMany = computed(() => place.value?.hooks != null && said.value.some(one => one.hook > place.value!.hooks!))
function choose(id: string): void {
  place.value = rooms.value.find(one => String(one.id) === id)!
}
function tell(): void {
  const step: PressStep = { kind: 'hang', placeId: place.value!.id, hooks: said.value }
  emit('tell', [step], `hung to dry in ${place.value!.name}.`)
}
</script>

<template>
  <ChipStep v-if="!place" label="Hung where?" :choices="choices" :saving="saving" @choose="choose" @close="emit('close')">
    <p v-if="!rooms.length" class="wide caution">No place to hang meat in is set up. The owner adds one in the Office.</p>
  </ChipStep>
  <StepForm v-else name="Hang to dry" :asks="`${place.name}: on which hooks?`" @tell="tell" @close="emit('close')">
    <VTextField
      v-for="piece in row.meant"
      :key="piece.id"
      v-model="hooks[piece.id]"
      :label="`Piece ${piece.label}, hook`"
      inputmode="numeric"
      hide-details
      autocomplete="off"
    />
    <p v-if="tooMany" class="wide small">{{ place.name }} has {{ place.hooks }} hooks by the Office.</p>
    <p class="wide small soft">
      Hook or string about 5 cm under the edge, through lean and not fat; two for a heavy piece; all at one height, none
      touching. Count hooks and pins in and out. Weigh it now, and every week.
    </p>
    <VBtn type="submit" class="wide" color="primary" :loading="saving">Hung{{ said.length ? '' : ', no hooks named' }}</VBtn>
  </StepForm>
</template>
