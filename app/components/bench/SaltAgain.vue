<script setup lang="ts">
import { INGREDIENT_RANGE } from '#core/rules/ranges'
import { computed } from 'vue'
import WeightField from '~/components/common/WeightField.vue'
import { useNotation } from '~/composables/use-notation'
import type { Bench } from './use-bench'

/** Salt far from the plan: a slip of unit or point is refused, what may be meant is weighed a second time. */
const props = defineProps<{ bench: Bench; error: string | undefined }>()
const again = defineModel<string>({ required: true })
const { percent } = useNotation()
const salt = computed(() => props.bench.saltJudged.value)
const what = computed(() => (props.bench.fromAgentOnly.value ? 'curing salt' : 'salt'))
const label = computed(() => `${what.value === 'salt' ? 'Salt' : 'Curing salt'} once more, grams`)
</script>

<template>
  <div v-if="salt && salt.status !== 'as_planned'" class="caution grave stack-tight" role="alert">
    <p v-if="salt.status === 'slip'">
      <strong>{{ percent(salt.share, 2) }} salt in all is no measured cure.</strong> The plan is
      {{ percent(salt.plannedShare, 2) }}. Check the unit and the point, and weigh the salt again.
    </p>
    <template v-else>
      <p>
        <strong>{{ percent(salt.share, 2) }} salt in all, planned {{ percent(salt.plannedShare, 2) }}.</strong> Off by
        more than a fifth. If it is meant, type the {{ what }}'s weight a second time.
      </p>
      <WeightField v-model="again" :label="label" fine :range="INGREDIENT_RANGE" :error="error" />
    </template>
  </div>
</template>
