<script setup lang="ts">
import { INGREDIENT_RANGE } from '#core/rules/ranges'
import type { Grams } from '#core/units/quantities'
import { computed, reactive } from 'vue'
import { stockMoveInput, type IngredientView, type StockMoveKind } from '#shared/contracts/store'
import InstrumentSelect from '~/components/common/InstrumentSelect.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import WeightField from '~/components/common/WeightField.vue'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'

/** Stock that leaves other than into a lot, and the count of what is there. */
const props = defineProps<{ lot: IngredientView }>()
const emit = defineEmits<{ saved: [] }>()
const { grams, meat } = useNotation()
const recorded = useRecorded()
const form = reactive({ kind: 'count' as StockMoveKind, amount: '', reason: '', scaleId: null as number | null })
const { save, saving, errorAt, message } = useSave<{ differenceG: Grams | null; off: boolean }>(stockMoveInput)
const WORDS = { count: 'Count', discarded: 'Thrown away', unassigned: 'Used without a lot' }
const left = computed(() =>
  props.lot.kind === 'curing_salt' ? grams(Math.max(0, props.lot.leftG)) : meat(Math.max(0, props.lot.leftG)),
)
async function record(): Promise<void> {
  const { kind, amount, reason, scaleId } = form
  const done = await save(`/api/ingredients/${props.lot.code}/stock`, {
    kind,
    scaleId,
    reason: reason || (kind === 'count' ? null : ''),
    ...(kind === 'count' ? { counted: amount } : { amount }),
  })
  if (!done) return
  recorded(
    done.differenceG === null
      ? `${props.lot.code}: ${WORDS[kind].toLowerCase()}, recorded.`
      : `${props.lot.code} counted, ${grams(done.differenceG)} off${done.off ? ': more than the scales explain' : ''}.`,
    done.eventId,
    async () => emit('saved'),
  )
  emit('saved')
}
</script>

<template>
  <form class="slip stack-tight" @submit.prevent="record">
    <p>
      The book says <strong>{{ left }}</strong> of {{ lot.name }} <span class="code">{{ lot.code }}</span>.
    </p>
    <VBtnToggle v-model="form.kind" mandatory variant="outlined" aria-label="What happened">
      <VBtn v-for="kind in ['count', 'discarded', 'unassigned'] as const" :key="kind" :value="kind">
        {{
          WORDS[kind]
        }}
      </VBtn>
    </VBtnToggle>
    <div class="fields">
      <VTextField
        v-if="form.kind === 'count'"
        v-model="form.amount"
        label="Counted, weighed"
        autocomplete="off"
        maxlength="60"
        hint="0 for an empty tin"
        persistent-hint
        :error-messages="errorAt('counted')"
      />
      <WeightField
        v-else
        v-model="form.amount"
        label="How much"
        fine
        :range="INGREDIENT_RANGE"
        :error="errorAt('amount')"
      />
      <InstrumentSelect
        v-model="form.scaleId"
        :prefer="lot.kind === 'curing_salt' ? 'mix' : undefined"
        kind="scale"
        :purpose="`stock-${lot.kind}`"
        label="Weighed on"
        :error="errorAt('scaleId')"
      />
      <VTextField
        v-model="form.reason"
        :label="form.kind === 'count' ? 'Why, if it is off' : 'Why'"
        maxlength="500"
        :error-messages="errorAt('reason')"
      />
      <VBtn type="submit" color="primary" :loading="saving">Record</VBtn>
    </div>
    <p v-if="form.kind === 'unassigned' && lot.kind === 'curing_salt'" class="caution">
      Curing salt with no lot to show for it stays in the ledger as not right.
    </p>
    <SaveProblem :message="message" />
  </form>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr)) auto;
  gap: 0.6rem;
  align-items: start;
}
@media (--narrow) {
  .fields {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
