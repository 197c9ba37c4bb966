<script setup lang="ts">
import { computed } from 'vue'
import { CURE_METHODS } from '#core/cure/cure-method'
import { METHOD_WORDS } from '#shared/messages/verdict'
import { useNotation } from '~/composables/use-notation'
import type { BenchDraft } from './bench-draft'
import type { Bench } from './use-bench'

const props = defineProps<{ bench: Bench }>()
const draft = defineModel<BenchDraft>({ required: true })
const { limit } = useNotation()
const methods = CURE_METHODS.map(value => ({ value, title: METHOD_WORDS[value].name }))
const choices = computed(() => [
  { value: null, title: 'general rows' },
  ...props.bench.choices.value.map(row => ({ value: row.id, title: row.choice ?? '' })),
])
</script>

<template>
  <div class="stack-tight">
    <div class="fields">
      <VSelect v-model="draft.method" :items="methods" label="How it is cured" />
      <VSelect
        v-model="draft.purpose"
        :items="[
          { value: 'bacon', title: 'smoked or fried' },
          { value: 'dried', title: 'hung to dry for weeks' },
        ]"
        label="What it becomes"
      />
    </div>
    <p class="small soft means">{{ METHOD_WORDS[draft.method].means }}</p>
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
    <p v-if="draft.method === 'salt_only'" class="caution">
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
