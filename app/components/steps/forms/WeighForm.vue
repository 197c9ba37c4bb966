<script setup lang="ts">
import { MEAT_RANGE } from '#core/rules/ranges'
import { computed, ref } from 'vue'
import InstrumentSelect from '~/components/common/InstrumentSelect.vue'
import WeightField from '~/components/common/WeightField.vue'
import StepForm from '../StepForm.vue'
import PickOne from '../PickOne.vue'
import type { AskEvents, AskProps } from '../ask-row'

/**
 * The meat on the scale: all the pieces meant together on one tare, or each by itself. In the cure what it lost bounds
 * what ran off unseen; hanging, it says how dry it is.
 */
const props = defineProps<AskProps>()
const emit = defineEmits<AskEvents>()
const SALT = [{ value: 'lies', words: 'Salt lies on it still' }] as const
const EACH = [{ value: 'each', words: 'Each by itself' }] as const
const salt = ref<'lies' | null>(null)
const each = ref<'each' | null>(!props.row.curing && props.row.meant.length > 1 ? 'each' : null)
const typed = ref('')
const byPiece = ref<Record<number, string>>({})
const scaleId = ref<number | null>(null)
const weighed = computed(() =>
  props.row.meant.flatMap(({ id }) => {
    const weight = byPiece.value[id]?.trim()
    return weight ? [{ pieces: [id], weight }] : []
  }),
)
const none = computed(() => (each.value ? weighed.value.length === 0 : typed.value.trim() === ''))
function tell(): void {
  const common = { kind: 'weigh', scaleId: scaleId.value, saltLies: salt.value !== null } as const
  if (each.value) {
    const words = weighed.value.length === 1 ? 'one piece weighed.' : `${weighed.value.length} pieces weighed.`
    emit('tell', [{ ...common, groups: weighed.value }], words, { pieces: weighed.value.flatMap(one => one.pieces) })
  }
  else emit('tell', [{ ...common, weight: typed.value }], `weighed, ${typed.value.trim()}.`)
}
</script>

<template>
  <StepForm
    name="Weigh the meat"
    :asks="row.curing
      ? 'What does the meat weigh, before its rinse, without bag and tray?'
      : 'What does the meat weigh, without hook and tray?'"
    @tell="tell"
    @close="emit('close')"
  >
    <PickOne v-if="row.meant.length > 1" v-model="each" class="wide" label="How it was weighed" :choices="EACH" />
    <template v-if="each">
      <WeightField
        v-for="piece in row.meant"
        :key="piece.id"
        :model-value="byPiece[piece.id] ?? ''"
        :label="`Piece ${piece.label}`"
        :range="MEAT_RANGE"
        @update:model-value="byPiece[piece.id] = $event"
      />
    </template>
    <WeightField v-else v-model="typed" :label="row.meant.length > 1 ? 'Weight, all together' : 'Weight'" :range="MEAT_RANGE" />
    <InstrumentSelect v-model="scaleId" kind="scale" purpose="meat" prefer="meat" label="Weighed on" />
    <PickOne v-if="row.curing" v-model="salt" label="Salt" :choices="SALT" />
    <VBtn type="submit" color="primary" :loading="saving" :disabled="none">Save</VBtn>
  </StepForm>
</template>
