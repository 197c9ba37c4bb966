<script setup lang="ts">
import { computed, reactive, watch } from 'vue'
import { rulesInForceInput, type RulesView } from '#shared/contracts/rules'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useNotice } from '~/composables/use-notice'
import { useNotation } from '~/composables/use-notation'
import { useSave } from '~/composables/use-save'

/** Which law, and what the shop asks beyond it. */
const props = defineProps<{ view: RulesView }>()
const emit = defineEmits<{ saved: [] }>()
const { say } = useNotice()
const { ppm } = useNotation()
const text = (value: number | null) => (value === null ? '' : String(value))
const now = () => ({
  ruleSetId: props.view.sets.find(set => set.inForce)!.rules.id,
  targetPpm: text(props.view.house.targetPpm),
  floorPpm: text(props.view.house.floorPpm),
  maxPpm: text(props.view.house.maxPpm),
  labAlways: props.view.house.labAlways ?? '',
  mouldPolicy: props.view.house.mouldPolicy ?? '',
})
const form = reactive(now())
watch(
  () => props.view,
  () => Object.assign(form, now()),
)
const inForce = computed(() => props.view.sets.find(set => set.inForce)!.rules.jurisdiction)
const own = (value: number | null) => (value === null ? 'none' : ppm(value))
const { save, saving, errorAt, message } = useSave(rulesInForceInput)
async function choose(): Promise<void> {
  if (
    !(await save(
      '/api/office/rules-in-force',
      {
        ...form,
        floorPpm: form.floorPpm.trim() || null,
        maxPpm: form.maxPpm.trim() || null,
        labAlways: form.labAlways.trim() || null,
        mouldPolicy: form.mouldPolicy.trim() || null,
      },
      'PUT',
    ))
  )
    return
  say('From now on verdicts go by this. Lots keep the rules they were judged by.')
  emit('saved')
}
</script>

<template>
  <p class="print-only">
    {{ inForce }} rules in force. House target {{ ppm(view.house.targetPpm) }}; own floor
    {{ own(view.house.floorPpm) }}, own limit {{ own(view.house.maxPpm) }}.
  </p>
  <form class="stack-tight no-print" @submit.prevent="choose">
    <div class="fields">
      <VSelect
        v-model="form.ruleSetId"
        :items="view.sets.map(set => ({ value: set.rules.id, title: set.rules.jurisdiction }))"
        label="Rule set in force"
        :error-messages="errorAt('ruleSetId')"
      />
      <VTextField
        v-model="form.targetPpm"
        label="House target"
        suffix="ppm"
        inputmode="decimal"
        :error-messages="errorAt('targetPpm')"
      />
      <VTextField
        v-model="form.floorPpm"
        label="Own floor (optional)"
        suffix="ppm"
        inputmode="decimal"
        :error-messages="errorAt('floorPpm')"
      />
      <VTextField
        v-model="form.maxPpm"
        label="Own limit (optional)"
        suffix="ppm"
        inputmode="decimal"
        :error-messages="errorAt('maxPpm')"
      />
    </div>
    <VTextField
      v-model="form.labAlways"
      label="Authority wants a laboratory result for every lot whose residue counts: why (empty: it does not)"
      maxlength="500"
      :error-messages="errorAt('labAlways')"
    />
    <VTextField
      v-model="form.mouldPolicy"
      label="White bloom on hung meat: what is done with it (empty: it is discarded)"
      maxlength="500"
      :error-messages="errorAt('mouldPolicy')"
    />
    <p class="small soft">
      Own limits can only be stricter: the law's hold all the same. A lot outside them is rubbed and held until you
      decide.
    </p>
    <SaveProblem :message="message" />
    <div><VBtn type="submit" color="primary" :loading="saving">Go by these</VBtn></div>
  </form>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 1.6fr 1fr 1fr 1fr;
  gap: 0.6rem;
}
@media (--narrow) {
  .fields {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
