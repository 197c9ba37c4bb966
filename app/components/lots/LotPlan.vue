<script setup lang="ts">
import type { Milliseconds } from '#core/units/quantities'
import { computed, ref } from 'vue'
import { turningDay } from '#core/turning/turning-day'
import type { Plan } from '#core/plan/plan'
import { planDoubt } from '#core/plan/plan-fault'
import type { LotView } from '#shared/contracts/lots'
import { planChangeInput } from '#shared/contracts/plans'
import { changesWords, planWords } from '#shared/messages/plans'
import PieceChips from '~/components/steps/PieceChips.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import PlanEdit from '~/components/plans/PlanEdit.vue'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { planOf } from '~/logic/plan-of'
import { useSession } from '~/stores/session'

/** What is intended with the lot, and a change of it on the way, with its reason: for all pieces, or for some. */
const props = defineProps<{ lot: LotView; nowMs: Milliseconds }>()
const emit = defineEmits<{ changed: [] }>()
const session = useSession()
const recorded = useRecorded()
const { as } = useNotation()
const { save, saving, message, errorAt, forget } = useSave(planChangeInput)
const draft = ref<Plan | null>(null)
const chosen = ref<number[]>([])
const reason = ref('')
const sure = ref(false)
const before = computed(() => planOf(props.lot, chosen.value))
const today = computed(() => turningDay(props.lot.rubbedAtMs, props.nowMs, props.lot.zone))
const numbers = (ids: readonly number[] | null) =>
  props.lot.pieces.filter(piece => ids?.includes(piece.id)).map(piece => piece.label).join(', ')
const changes = computed(() => (draft.value ? changesWords(before.value, draft.value, as.value) : ''))
const isDoubtful = computed(() => draft.value !== null && planDoubt(draft.value) !== null)
function begin(): void {
  forget()
  draft.value = JSON.parse(JSON.stringify(before.value)) as Plan
}
async function keep(): Promise<void> {
  const pieces = chosen.value.length ? chosen.value : null
  const body = { plan: draft.value, pieces, reason: reason.value, sure: sure.value }
  const done = await save(`/api/lots/${props.lot.code}/plan`, body)
  if (!done) return
  recorded(`${props.lot.code}: ${changes.value}.`, done.eventId, async () => emit('changed'))
  draft.value = null
  reason.value = ''
  chosen.value = []
  emit('changed')
}
</script>

<template>
  <section class="stack-tight" aria-labelledby="lot-plan-head">
    <div class="ruled-head">
      <h2 id="lot-plan-head">Plan</h2>
      <VBtn v-if="session.mayWrite && draft === null" variant="outlined" class="no-print" @click="begin">Change the plan</VBtn>
    </div>
    <p>
      {{ planWords(lot.plan.plan, as) }}.
      <span v-if="lot.plan.assumed" class="soft">Nobody laid a plan for this lot: the shop’s usual way is assumed.</span>
      <span v-else-if="lot.plan.reason" class="soft">Changed: {{ lot.plan.reason }}.</span>
    </p>
    <p v-for="own in lot.piecePlans" :key="own.number">
      <strong>{{ own.pieces!.length === 1 ? 'Piece' : 'Pieces' }} {{ numbers(own.pieces) }}:</strong>
      {{ planWords(own.plan, as) }}.
    </p>
    <form v-if="draft" class="slip stack-tight" aria-label="Change the plan" @submit.prevent="keep">
      <p class="row small">
        For <PieceChips v-model="chosen" :pieces="lot.pieces" pickable />
        <span class="soft">{{ chosen.length ? 'these pieces alone' : 'the whole lot' }}</span>
      </p>
      <PlanEdit
        v-model="draft"
        days
        :lot="lot.cureEndedAtMs === null ? { today, before } : undefined"
        :error-at="errorAt"
      />
      <VCheckbox v-if="isDoubtful" v-model="sure" label="Smoke on a wet surface is meant" hide-details />
      <p v-if="changes" class="small"><strong>Different:</strong> {{ changes }}.</p>
      <VTextField v-model="reason" label="Why" maxlength="500" autocomplete="off" :error-messages="errorAt('reason')" />
      <p v-if="errorAt('plan')" class="caution grave">{{ errorAt('plan') }}</p>
      <SaveProblem :message="message" />
      <div class="row">
        <VBtn type="submit" color="primary" :loading="saving" :disabled="changes === ''">Follow this plan</VBtn>
        <VBtn variant="outlined" @click="draft = null">Put aside</VBtn>
      </div>
    </form>
  </section>
</template>

<style scoped>
p {
  margin: 0;
  max-width: 78ch;
}
</style>
