<script setup lang="ts">
import { PLAN_RANGE_DAYS } from '#core/rules/ranges'
import { computed } from 'vue'
import { upperFirst } from '#core/lists/upper-first'
import { ADD_FACES } from '#core/life/kinds/add'
import type { AddWhen, PlannedAdd } from '#core/plan/plan'
import { ON_FACE } from '#shared/steps/add'
import NumberField from '~/components/common/NumberField.vue'

/** What goes on after the rub: when, where, and how much of the mix is kept for it. The first is changed here, others stay. */
const props = defineProps<{ error?: string | undefined; lastDay: number }>()
const adds = defineModel<readonly PlannedAdd[]>({ required: true })
const WHEN = [
  { value: 'none', title: 'all of it at the rub' },
  { value: 'day', title: 'more on a day' },
  { value: 'each_turn', title: 'more with each turn, to a day' },
  { value: 'after_draining', title: 'more after the first draining' },
] as const
const FACES = ADD_FACES.map(value => ({ value, title: upperFirst(ON_FACE[value]) }))
const first = computed(() => adds.value[0] ?? null)
const change = (next: PlannedAdd | null) => (adds.value = [...(next ? [next] : []), ...adds.value.slice(1)])
const dayOf = (when: AddWhen) => (when.on === 'day' ? when.day : when.on === 'each_turn' ? when.toDay : null)
const day = computed(() => (first.value ? dayOf(first.value.when) : null))
const whenOn = (on: AddWhen['on'], at: number): AddWhen =>
  on === 'day' ? { on, day: at } : on === 'each_turn' ? { on, toDay: at } : { on }
function setWhen(on: AddWhen['on'] | 'none'): void {
  if (on === 'none') return void change(null)
  change({
    face: on === 'each_turn' ? 'up' : 'all',
    share: null,
    ...first.value,
    when: whenOn(on, day.value ?? Math.min(2, props.lastDay)),
  })
}
const setDay = (at: number | null) => {
  if (first.value && at !== null) change({ ...first.value, when: whenOn(first.value.when.on, Math.round(at)) })
}
const setShare = (percent: number | null) => {
  if (first.value) change({ ...first.value, share: percent === null ? null : percent / 100 })
}
</script>

<template>
  <VSelect
    :model-value="first?.when.on ?? 'none'"
    :items="WHEN"
    label="Salt and mix"
    hide-details="auto"
    :error-messages="error"
    @update:model-value="setWhen($event as AddWhen['on'] | 'none')"
  />
  <template v-if="first">
    <NumberField v-if="day !== null" label="On day, or to day" :max="PLAN_RANGE_DAYS.max" :model-value="day" @update:model-value="setDay" />
    <VSelect
      :model-value="first.face"
      :items="FACES"
      label="Where"
      hide-details
      @update:model-value="change({ ...first, face: $event })"
    />
    <NumberField
      label="Kept for it, % of the mix; empty: by the look of it"
      optional
      :min="1"
      :max="90"
      :model-value="first.share === null ? null : Math.round(first.share * 1000) / 10"
      @update:model-value="setShare"
    />
  </template>
</template>
