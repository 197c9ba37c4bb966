<script setup lang="ts">
import { computed, reactive, watch } from 'vue'
import { HOUSE_SETTING_KEYS, HOUSE_SETTINGS, type HouseSetting } from '#shared/contracts/house-settings'
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
const now = () => ({
  ruleSetId: props.view.sets.find(set => set.inForce)!.rules.id,
  ...(Object.fromEntries(HOUSE_SETTING_KEYS.map(key => [key, String(props.view.house[key] ?? '')])) as Record<HouseSetting, string>),
})
const FIGURES = HOUSE_SETTING_KEYS.filter(key => HOUSE_SETTINGS[key].unit)
const WORDS = HOUSE_SETTING_KEYS.filter(key => !HOUSE_SETTINGS[key].unit)
const mayLack = (key: HouseSetting) => HOUSE_SETTINGS[key].input.safeParse(null).success
const form = reactive(now())
watch(
  () => props.view,
  () => Object.assign(form, now()),
)
const inForce = computed(() => props.view.sets.find(set => set.inForce)!.rules.jurisdiction)
const own = (value: number | null) => (value === null ? 'none' : ppm(value))
const { save, saving, errorAt, message } = useSave(rulesInForceInput)
async function choose(): Promise<void> {
  // What is empty is not asked for, where it need not be.
  const settings = HOUSE_SETTING_KEYS.map(key => [key, form[key].trim() || (mayLack(key) ? null : '')])
  if (!(await save('/api/office/rules-in-force', { ...form, ...Object.fromEntries(settings) }, 'PUT'))) return
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
        v-for="key in FIGURES"
        :key="key"
        v-model="form[key]"
        :label="HOUSE_SETTINGS[key].label"
        :suffix="HOUSE_SETTINGS[key].unit"
        inputmode="decimal"
        :error-messages="errorAt(key)"
      />
    </div>
    <VTextField
      v-for="key in WORDS"
      :key="key"
      v-model="form[key]"
      :label="HOUSE_SETTINGS[key].label"
      maxlength="500"
      :error-messages="errorAt(key)"
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
