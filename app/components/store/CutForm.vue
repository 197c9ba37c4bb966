<script setup lang="ts">
import { DELIVERY_RANGE, OFFCUT_RANGE, PIECE_RANGE } from '#core/rules/ranges'
import type { Grams } from '#core/units/quantities'
import { UNACCOUNTED_SHARE } from '#core/rules/house'
import { computed, reactive } from 'vue'
import { accountFor } from '#core/store/divide'
import { parseWeight } from '#core/typed/parse-weight'
import { CUTTING_KINDS, cuttingInput, type CuttingKind, type MeatView } from '#shared/contracts/store'
import InstrumentSelect from '~/components/common/InstrumentSelect.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import WeightField from '~/components/common/WeightField.vue'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'

/** What was cut, what came of it, and what is not accounted for, while the knife is still in the hand. */
const props = defineProps<{ lot: MeatView; pieceId: number | null; leftG: Grams }>()
const emit = defineEmits<{ saved: []; aside: [] }>()
const { meat, percent } = useNotation()
const recorded = useRecorded()
const { save, saving, errorAt, message } = useSave<{ labels: string[] }>(cuttingInput)
const piece = computed(() => props.lot.pieces.find(one => one.id === props.pieceId) ?? null)
const WORDS = { cut: 'Cut', bone: 'Bone', split: 'Split', trim: 'Trim' }
const form = reactive({
  kind: (piece.value ? 'bone' : 'cut') as CuttingKind,
  taken: '',
  pieces: ['', ''],
  trim: '',
  bone: '',
  rind: '',
  note: '',
  scaleId: null as number | null,
})
const typedPieces = computed(() => form.pieces.filter(text => text.trim() !== ''))
const netOf = (text: string, range = PIECE_RANGE) => {
  const parsed = parseWeight(text, range)
  return parsed.ok ? parsed.value.netG : 0
}
const fromG = computed(() => piece.value?.massG ?? netOf(form.taken, DELIVERY_RANGE))
const account = computed(() =>
  fromG.value > 0 && typedPieces.value.length > 0
    ? accountFor({
        fromG: fromG.value,
        piecesG: typedPieces.value.map(text => netOf(text)),
        trimG: netOf(form.trim, OFFCUT_RANGE),
        boneG: netOf(form.bone, OFFCUT_RANGE),
        rindG: netOf(form.rind, OFFCUT_RANGE),
      })
    : null,
)

/** An empty line always waits for the next piece. */
function grow(i: number): void {
  if (i === form.pieces.length - 1 && form.pieces[i]!.trim() !== '') form.pieces.push('')
}
async function record(): Promise<void> {
  const { kind, taken, trim, bone, rind, note, scaleId } = form
  const done = await save(`/api/meat/${props.lot.code}/cuttings`, {
    pieceId: props.pieceId,
    taken: piece.value ? null : taken,
    kind,
    pieces: typedPieces.value,
    trim: trim || null,
    bone: bone || null,
    rind: rind || null,
    note: note || null,
    scaleId,
  })
  if (!done) return
  recorded(`${props.lot.code}: pieces ${done.labels.join(', ')}.`, done.eventId, async () => emit('saved'))
  emit('saved')
}
</script>

<template>
  <form class="slip stack" @submit.prevent="record">
    <h3>{{ piece ? `Piece ${piece.label}, ${meat(piece.massG)}` : `From the delivery, ${meat(leftG)} left` }}</h3>
    <VBtnToggle v-model="form.kind" mandatory variant="outlined" aria-label="What was done">
      <VBtn v-for="kind in CUTTING_KINDS" :key="kind" :value="kind">{{ WORDS[kind] }}</VBtn>
    </VBtnToggle>
    <div class="fields">
      <WeightField
        v-if="!piece"
        v-model="form.taken"
        label="Taken from the delivery"
        :range="DELIVERY_RANGE"
        :error="errorAt('taken')"
      />
      <InstrumentSelect
        v-model="form.scaleId"
        kind="scale"
        purpose="cutting"
        label="Weighed on"
        :error="errorAt('scaleId')"
      />
    </div>
    <div class="fields" role="group" aria-label="Pieces">
      <WeightField
        v-for="(_text, i) in form.pieces"
        :key="i"
        v-model="form.pieces[i]!"
        :label="`Piece ${i + 1}`"
        :range="PIECE_RANGE"
        :error="errorAt(`pieces.${i}`)"
        @update:model-value="grow(i)"
      />
    </div>
    <div class="fields">
      <WeightField v-model="form.trim" label="Trim, weight" :range="OFFCUT_RANGE" :error="errorAt('trim')" />
      <WeightField v-model="form.bone" label="Bone, weight" :range="OFFCUT_RANGE" :error="errorAt('bone')" />
      <WeightField v-model="form.rind" label="Rind, weight" :range="OFFCUT_RANGE" :error="errorAt('rind')" />
      <VTextField v-model="form.note" label="Note" maxlength="500" :error-messages="errorAt('note')" />
    </div>
    <p v-if="account" :class="account.status === 'accounted' ? 'soft' : 'caution'" role="status">
      {{
        account.status === 'too_much'
          ? `The parts weigh ${meat(-account.unaccountedG)} more than the whole: check the weights.`
          : `Not accounted for: ${meat(account.unaccountedG)}, ${percent(account.unaccountedShare)}.`
      }}
      <template v-if="account.status === 'ask'">
        Over {{ percent(UNACCOUNTED_SHARE, 0) }}: enter what is missing, or say in the note where it went.
      </template>
    </p>
    <p v-if="errorAt('pieces')" class="caution grave" role="alert">{{ errorAt('pieces') }}</p>
    <SaveProblem :message="message" />
    <div class="row">
      <VBtn type="submit" color="primary" :loading="saving">Record the pieces</VBtn>
      <VBtn variant="outlined" @click="emit('aside')">Put aside</VBtn>
    </div>
  </form>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 0.6rem;
  align-items: start;
}
@media (--tablet) {
  .fields {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
