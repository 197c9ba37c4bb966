<script setup lang="ts">
import { computed } from 'vue'
import { CHOSEN_METHODS, type CureMethod } from '#core/cure/cure-method'
import { METHOD_WORDS } from '#shared/messages/verdict'
import { useNotation } from '~/composables/use-notation'
import { isSaltOnly, type BenchDraft } from './bench-draft'
import type { Bench } from './use-bench'

const props = defineProps<{ bench: Bench }>()
const draft = defineModel<BenchDraft>({ required: true })
const { limit } = useNotation()
const methods = CHOSEN_METHODS.map(value => ({ value, title: METHOD_WORDS[value].name }))
/** The old name of salt only is no method. */
const method = computed({
  get: (): CureMethod => (draft.value.method === 'salt_only' ? 'dry' : draft.value.method),
  set: (value) => {
    Object.assign(draft.value, { saltOnly: isSaltOnly(draft.value), method: value })
  },
})
const saltOnly = computed({
  get: () => isSaltOnly(draft.value),
  set: (value) => {
    Object.assign(draft.value, { saltOnly: value, method: method.value })
  },
})
const choices = computed(() => [
  { value: null, title: 'general rows' },
  ...props.bench.choices.value.map(row => ({ value: row.id, title: row.choice ?? '' })),
])
</script>

<template>
  <div class="stack-tight">
    <div class="fields">
      <VSelect v-model="method" :items="methods" label="How it is cured" />
      <VSelect
        v-model="draft.purpose"
        :items="[
          { value: 'bacon', title: 'smoked or fried' },
          { value: 'dried', title: 'hung to dry for weeks' },
        ]"
        label="What it becomes"
      />
    </div>
    <p class="small soft means">{{ saltOnly ? METHOD_WORDS.salt_only.means : METHOD_WORDS[method].means }}</p>
    <VCheckbox v-model="saltOnly" label="Salt only: no curing salt goes on" density="compact" hide-details />
    <VSelect
      v-if="choices.length > 1"
      v-model="draft.choiceId"
      :items="choices"
      label="Judged by"
      hint="What the law lets a maker choose between."
      persistent-hint
    />
    <p v-if="draft.rind === 'on' && draft.cut === 'belly'" class="small soft">
      Rind takes almost no cure: where the law says so, the limit is lower.
    </p>
    <p v-if="saltOnly" class="caution">
      Salt does not make its own nitrite. {{ limit(4) }} or colder all the way, no long warm smoke, cook before eating,
      never vacuum-packed and left unrefrigerated.
    </p>
    <p v-if="draft.purpose === 'dried'" class="caution">
      Eaten uncooked it needs your process authority and trichinella control: certified pork, freezing, or heat.
    </p>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.6rem;
}
@media (--phone) {
  .fields {
    grid-template-columns: 1fr;
  }
}
</style>
