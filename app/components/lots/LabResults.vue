<script setup lang="ts">
import { reactive } from 'vue'
import type { LotView } from '#shared/contracts/lots'
import { labResultInput } from '#shared/contracts/rub'
import { residualWords } from '#shared/messages/residual'
import DateField from '~/components/common/DateField.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

/** What a laboratory found in the product, where the law has a limit for that. */
const props = defineProps<{ lot: LotView }>()
const emit = defineEmits<{ done: [words: string, eventId: number | null] }>()
const session = useSession()
const { as, ppm, date } = useNotation()
const { save, saving, message, errorAt } = useSave(labResultInput)
const empty = () => ({ residual: '', laboratory: '', report: '', sampledOn: '' })
const form = reactive(empty())

async function record(): Promise<void> {
  const made = await save(`/api/lots/${props.lot.code}/lab-results`, { ...form })
  if (!made) return
  Object.assign(form, empty())
  emit('done', `${props.lot.code}: the laboratory's result is recorded.`, made.eventId)
}
</script>

<template>
  <form class="slip stack-tight" @submit.prevent="record">
    <h3>What is left in the product</h3>
    <p v-if="lot.residual" class="row">
      <StateMark :tone="lot.residual.by ? 'good' : 'act'">{{ lot.residual.by ? 'shown' : 'not shown' }}</StateMark>
      <span>{{ residualWords(lot.residual, as) }}</span>
    </p>
    <ul v-if="lot.labResults.length" class="list">
      <li v-for="one in lot.labResults" :key="one.id">
        <strong>{{ ppm(one.residualPpm) }}</strong>, {{ one.laboratory }}, {{ one.report }}, sampled {{ date(one.sampledOn) }}
      </li>
    </ul>
    <template v-if="session.mayWrite">
      <div class="quarters no-print">
        <VTextField
          v-model="form.residual"
          label="Residual nitrite, as NaNO2"
          suffix="ppm"
          inputmode="decimal"
          :error-messages="errorAt('residual')"
        />
        <VTextField v-model="form.laboratory" label="Laboratory" :error-messages="errorAt('laboratory')" />
        <VTextField v-model="form.report" label="Report" :error-messages="errorAt('report')" />
        <DateField v-model="form.sampledOn" label="Sampled on" :error="errorAt('sampledOn')" />
      </div>
      <SaveProblem :message="message" />
      <div>
        <VBtn type="submit" variant="outlined" :loading="saving">Record the result</VBtn>
      </div>
    </template>
  </form>
</template>

<style scoped>
.list {
  margin: 0;
  padding-left: 1.1rem;
}
</style>
