<script setup lang="ts">
import { computed, ref } from 'vue'
import { ADD_FACES, type AddFace } from '#core/life/kinds/add'
import { ON_FACE } from '#shared/steps/add'
import PickOne from '../PickOne.vue'
import PutForm from '../PutForm.vue'
import type { PressStep } from '~/logic/press'
import { usePuts } from '../use-puts'
import type { AskEvents, AskProps } from '../ask-row'

/** More of the cure on what lies here: by itself, or on the face that a turn brings up. */
const props = defineProps<AskProps>()
const emit = defineEmits<AskEvents>()
const SHORT: Record<AddFace, string> = { flesh: 'Flesh', fat: 'Fat', up: 'Face up', all: 'All over' }
const FACES = ADD_FACES.map(value => ({ value, words: SHORT[value] }))
const face = ref<AddFace | null>(props.row.face ?? (props.row.ask === 'turn_add' ? 'up' : 'all'))
/** The turn that it goes on with. */
const turn = computed(() => (props.row.ask === 'turn_add' ? (props.row.turn ?? null) : null))
const puts = usePuts(props.row.lot.code, 'add')
function tell(): void {
  const on = face.value ?? 'all'
  const add: PressStep = { kind: 'add', face: on, parts: puts.parts(), scaleId: puts.scaleId.value }
  const { steps = [], label = '' } = turn.value ?? {}
  emit('tell', [...steps, add], `${label ? `${label.toLowerCase()}, and ` : ''}more ${ON_FACE[on]}: ${puts.words()}.`, { then: puts.clear })
}
</script>

<template>
  <PutForm
    :label="turn ? `${turn.label}, and more put on` : 'More put on'"
    :asks="turn ? `${turn.label}: what went on?` : 'What went on?'"
    :button="turn ? `${turn.label}, and it is on` : 'It is on'"
    :puts="puts"
    :saving="saving"
    @tell="tell"
    @close="emit('close')"
  >
    <PickOne v-model="face" label="Where" :choices="FACES" />
  </PutForm>
</template>
