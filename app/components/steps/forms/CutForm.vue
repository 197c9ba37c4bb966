<script setup lang="ts">
import { MEAT_RANGE, PART_RANGE } from '#core/rules/ranges'
import { computed, ref } from 'vue'
import { mdiPlus } from '@mdi/js'
import { CUT_OFFS, type CutOff } from '#core/life/kinds/cut'
import { MOST_PARTS } from '#shared/steps/cut'
import type { LotPiece } from '#shared/contracts/lots'
import InstrumentSelect from '~/components/common/InstrumentSelect.vue'
import WeightField from '~/components/common/WeightField.vue'
import StepForm from '../StepForm.vue'
import PickPiece from '../PickPiece.vue'
import type { PressStep } from '~/logic/press'
import type { AskEvents, AskProps } from '../ask-row'

/** A piece is cut up: what each part weighs, and what came off it. One part alone is a piece without its rind. */
const props = defineProps<AskProps>()
const emit = defineEmits<AskEvents>()
const OFF_WORDS: Record<CutOff, string> = { rind: 'Rind', bone: 'Bone', fat: 'Fat', trim: 'Trim', samples: 'Samples' }
const piece = ref<LotPiece | null>(props.row.meant.length === 1 ? props.row.meant[0]! : null)
const whole = ref('')
const parts = ref([''])
const off = ref<Record<CutOff, string>>({ rind: '', bone: '', fat: '', trim: '', samples: '' })
const scaleId = ref<number | null>(null)
const typed = computed(() => parts.value.map(part => part.trim()).filter(Boolean))
const offcuts = computed(() =>
  CUT_OFFS.flatMap(kind => (off.value[kind].trim() ? [{ kind, weight: off.value[kind].trim() }] : [])),
)
function tell(): void {
  const step: PressStep = {
    kind: 'cut',
    whole: whole.value.trim() || null,
    into: typed.value.map(weight => ({ weight, tag: null })),
    offcuts: offcuts.value,
    scaleId: scaleId.value,
  }
  const count = typed.value.length
  emit('tell', [step], `piece ${piece.value!.label} cut up: `
  + `${count === 1 ? 'one part' : `${count} parts`}${offcuts.value.length ? ', with what came off' : ''}.`, { pieces: [piece.value!.id] })
}
</script>

<template>
  <PickPiece v-if="!piece" asks="Which piece was cut?" :pieces="row.meant" @choose="piece = $event" @close="emit('close')" />
  <StepForm v-else name="Cut up" :asks="`Piece ${piece.label}: what does each part weigh?`" @tell="tell" @close="emit('close')">
    <WeightField
      v-for="(_, i) in parts"
      :key="i"
      v-model="parts[i]!"
      :label="parts.length === 1 ? 'What is left of it' : `Part ${i + 1}`"
      :range="PART_RANGE"
    />
    <VBtn
      v-if="parts.length < MOST_PARTS"
      class="wide"
      variant="outlined"
      :prepend-icon="mdiPlus"
      @click="parts.push('')"
    >
      One more part
    </VBtn>
    <p class="wide small soft">What came off, as far as there was any:</p>
    <WeightField v-for="kind in CUT_OFFS" :key="kind" v-model="off[kind]" :label="OFF_WORDS[kind]" :range="PART_RANGE" />
    <WeightField v-model="whole" label="Weight before" :range="MEAT_RANGE" />
    <InstrumentSelect v-model="scaleId" class="wide" kind="scale" purpose="meat" prefer="meat" label="Weighed on" />
    <p class="wide small soft">Parts keep the number with a letter, and all that was told of the piece. Clean knife, clean board.</p>
    <VBtn type="submit" class="wide" color="primary" :loading="saving" :disabled="typed.length === 0 || typed.length + offcuts.length < 2">
      Cut, save
    </VBtn>
  </StepForm>
</template>
