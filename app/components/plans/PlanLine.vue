<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Plan } from '#core/plan/plan'
import { planWords } from '#shared/messages/plans'
import { useNotation } from '~/composables/use-notation'
import PlanEdit from './PlanEdit.vue'

/** The plan on one line, and what it takes to change it. `days`: with fields for its days. */
defineProps<{ days: boolean; errorAt?: (path: string) => string | undefined }>()
const plan = defineModel<Plan>({ required: true })
const { as } = useNotation()
const open = ref(false)
const words = computed(() => planWords(plan.value, as.value))
</script>

<template>
  <section class="stack-tight" aria-labelledby="plan-head">
    <div class="ruled-head">
      <h2 id="plan-head">Plan</h2>
      <VBtn variant="outlined" :aria-expanded="open" @click="open = !open">{{ open ? 'Close the plan' : 'Change the plan' }}</VBtn>
    </div>
    <p class="line">{{ words }}.</p>
    <p v-if="errorAt?.('plan')" class="caution grave">{{ errorAt('plan') }}</p>
    <PlanEdit v-if="open" v-model="plan" :days="days" :error-at="errorAt" />
  </section>
</template>

<style scoped>
.line {
  margin: 0;
  max-width: 70ch;
}
</style>
