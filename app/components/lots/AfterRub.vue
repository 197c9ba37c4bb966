<script setup lang="ts">
import type { Grams } from '#core/units/quantities'
import { computed, reactive, ref } from 'vue'
import { INGREDIENT_RANGE } from '#shared/contracts/fields'
import type { LotView } from '#shared/contracts/lots'
import { BRINE_RANGE, labResultInput, secondApplicationInput, weighedAfterInput } from '#shared/contracts/rub'
import { residualWords } from '#shared/messages/residual'
import DateField from '~/components/common/DateField.vue'
import InstrumentSelect from '~/components/common/InstrumentSelect.vue'
import StateMark from '~/components/common/StateMark.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import WeightField from '~/components/common/WeightField.vue'
import { useDraft } from '~/composables/use-draft'
import { useNotation } from '~/composables/use-notation'
import { useRecorded } from '~/composables/use-recorded'
import { useSave } from '~/composables/use-save'
import { useSession } from '~/stores/session'

/** What a lot's method or law still asks for after the rub: the second half, what comes off, the laboratory. */
const props = defineProps<{ lot: LotView }>()
const emit = defineEmits<{ changed: [] }>()
const session = useSession()
const { as, grams, ppm, date } = useNotation()
const recorded = useRecorded()
const second = useSave(secondApplicationInput)
const after = useSave(weighedAfterInput)
const lab = useSave(labResultInput)
const mixScaleId = ref<number | null>(null)
const scaleId = ref<number | null>(null)
const ROLES = ['agent', 'salt', 'sugar'] as const
const NAMES = { agent: 'Curing salt', salt: 'Salt', sugar: 'Sugar' }
const first = computed(() =>
  ROLES.flatMap(role =>
    props.lot.ingredients.filter(part => part.role === role && part.application === 1).map(part => ({ ...part, role })),
  ),
)
const restG = (plannedG: Grams) => (plannedG * (1 - props.lot.firstShare!)) / props.lot.firstShare!
const { draft, clear } = useDraft(`after-${props.lot.code}`, () => ({ agent: '', salt: '', sugar: '', weight: '' }))
const form = reactive({ residual: '', laboratory: '', report: '', sampledOn: '' })
const weighsBack = computed(() => props.lot.method === 'excess' || props.lot.method === 'wet_pick_up')
const asksLab = computed(() => props.lot.judgement.residual.length > 0)

function done(words: string, eventId: number | null): void {
  recorded(words, eventId, async () => emit('changed'))
  emit('changed')
}
async function apply(): Promise<void> {
  const of = (role: (typeof ROLES)[number]) => {
    const part = first.value.find(one => one.role === role)
    return part ? { lotCode: part.code, weighed: draft.value[role] } : null
  }
  const made = await second.save(`/api/lots/${props.lot.code}/second-application`, {
    agent: of('agent'),
    salt: of('salt'),
    sugar: of('sugar'),
    mixScaleId: mixScaleId.value,
  })
  if (!made) return
  clear()
  done(`${props.lot.code}: the second application is on.`, made.eventId)
}
async function weigh(): Promise<void> {
  const made = await after.save(`/api/lots/${props.lot.code}/weighed-after`, {
    weight: draft.value.weight,
    scaleId: scaleId.value,
  })
  if (!made) return
  clear()
  done(`${props.lot.code} is weighed; its ppm was worked out again.`, made.eventId)
}
async function result(): Promise<void> {
  const made = await lab.save(`/api/lots/${props.lot.code}/lab-results`, { ...form })
  if (!made) return
  Object.assign(form, { residual: '', laboratory: '', report: '', sampledOn: '' })
  done(`${props.lot.code}: the laboratory's result is recorded.`, made.eventId)
}
</script>

<template>
  <section v-if="lot.secondDue || weighsBack || asksLab" class="stack" aria-label="After the rub">
    <form v-if="lot.secondDue" class="slip stack-tight" @submit.prevent="apply">
      <h3>Second application</h3>
      <p>After the first draining the rest goes on. Until then the verdict counts it as planned.</p>
      <template v-if="session.mayWrite">
        <div class="fields no-print">
          <WeightField
            v-for="part in first"
            :key="part.id"
            v-model="draft[part.role]"
            :label="`${NAMES[part.role]}, about ${grams(restG(part.plannedG))}`"
            fine
            :range="INGREDIENT_RANGE"
            :error="second.errorAt(part.role)"
          />
          <InstrumentSelect
            v-model="mixScaleId"
            kind="scale"
            purpose="mix"
            prefer="mix"
            label="Weighed on"
            :error="second.errorAt('mixScaleId')"
          />
        </div>
        <p class="caution">Curing salt is poisonous. The same lot as the first half: no. 1 is not no. 2.</p>
        <SaveProblem :message="second.message.value" />
        <div>
          <VBtn type="submit" color="primary" :loading="second.saving.value">The second half is on</VBtn>
        </div>
      </template>
    </form>
    <form v-if="weighsBack" class="slip stack-tight" @submit.prevent="weigh">
      <h3>{{ lot.method === 'excess' ? 'Shaken off, weighed back' : 'Out of the brine' }}</h3>
      <p v-if="lot.weighedBackTyped || lot.afterTyped">Weighed: {{ lot.weighedBackTyped ?? lot.afterTyped }}.</p>
      <p v-else>
        {{
          lot.method === 'excess'
            ? "What is weighed back comes off at the mix's own composition."
            : 'All pieces together, drained. Until then the ppm is the most it can be.'
        }}
      </p>
      <template v-if="session.mayWrite">
        <div class="fields no-print">
          <WeightField
            v-model="draft.weight"
            :label="lot.method === 'excess' ? 'Mix weighed back' : 'All pieces, after the brine'"
            :fine="lot.method === 'excess'"
            :range="BRINE_RANGE"
            :error="after.errorAt('weight')"
          />
          <InstrumentSelect
            v-model="scaleId"
            kind="scale"
            :purpose="lot.method === 'excess' ? 'mix' : 'meat'"
            :prefer="lot.method === 'excess' ? 'mix' : 'meat'"
            label="Weighed on"
            :error="after.errorAt('scaleId')"
          />
        </div>
        <SaveProblem :message="after.message.value" />
        <div>
          <VBtn type="submit" variant="outlined" :loading="after.saving.value">Record the weight</VBtn>
        </div>
      </template>
    </form>
    <form v-if="asksLab" class="slip stack-tight" @submit.prevent="result">
      <h3>What is left in the product</h3>
      <p v-if="lot.residual" class="row">
        <StateMark :tone="lot.residual.by ? 'good' : 'act'">{{ lot.residual.by ? 'shown' : 'not shown' }}</StateMark><span>{{ residualWords(lot.residual, as) }}</span>
      </p>
      <ul v-if="lot.labResults.length" class="list">
        <li v-for="one in lot.labResults" :key="one.id">
          <strong>{{ ppm(one.residualPpm) }}</strong>, {{ one.laboratory }}, {{ one.report }}, sampled {{ date(one.sampledOn) }}
        </li>
      </ul>
      <template v-if="session.mayWrite">
        <div class="fields no-print">
          <VTextField
            v-model="form.residual"
            label="Residual nitrite, as NaNO2"
            suffix="ppm"
            inputmode="decimal"
            :error-messages="lab.errorAt('residual')"
          />
          <VTextField v-model="form.laboratory" label="Laboratory" :error-messages="lab.errorAt('laboratory')" />
          <VTextField v-model="form.report" label="Report" :error-messages="lab.errorAt('report')" />
          <DateField v-model="form.sampledOn" label="Sampled on" :error="lab.errorAt('sampledOn')" />
        </div>
        <SaveProblem :message="lab.message.value" />
        <div>
          <VBtn type="submit" variant="outlined" :loading="lab.saving.value">Record the result</VBtn>
        </div>
      </template>
    </form>
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 0.6rem;
}
.list {
  margin: 0;
  padding-left: 1.1rem;
}
@media (--narrow) {
  .fields {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
