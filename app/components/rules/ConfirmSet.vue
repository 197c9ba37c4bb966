<script setup lang="ts">
import { reactive } from 'vue'
import { localDay } from '#core/calendar/local-day'
import { rulesConfirmationInput, type RuleSetView } from '#shared/contracts/rules'
import DateField from '~/components/common/DateField.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useClock } from '~/composables/use-clock'
import { useDraft } from '~/composables/use-draft'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

const props = defineProps<{ set: RuleSetView }>()
const emit = defineEmits<{ saved: [] }>()
const session = useSession()
const nowMs = useClock()
const { say } = useNotice()
const form = reactive({ confirmedBy: session.user?.name ?? '', confirmedOn: localDay(nowMs.value, session.zone) })
const { draft, clear } = useDraft(`rules-confirm-${props.set.rules.id}`, () => ({ reference: '' }))
const { save, saving, errorAt, message } = useSave(rulesConfirmationInput)
async function confirm(): Promise<void> {
  if (!(await save('/api/office/rules', { ...form, ...draft.value, ruleSetId: props.set.rules.id }))) return
  clear()
  say('The rule set is confirmed.')
  emit('saved')
}
</script>

<template>
  <form class="stack-tight no-print" @submit.prevent="confirm">
    <p>Compare these rows with the authority's current text. Nothing goes out before that.</p>
    <div class="fields">
      <VTextField v-model="form.confirmedBy" label="Compared by" :error-messages="errorAt('confirmedBy')" />
      <DateField v-model="form.confirmedOn" label="On" :error="errorAt('confirmedOn')" />
      <VTextField v-model="draft.reference" label="Against (link or document)" :error-messages="errorAt('reference')" />
    </div>
    <SaveProblem :message="message" />
    <div><VBtn type="submit" variant="outlined" :loading="saving">Confirm the rule set</VBtn></div>
  </form>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr 1.4fr;
  gap: 0.6rem;
}
@media (--phone) {
  .fields {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
