<script setup lang="ts">
import { computed } from 'vue'
import { isWet } from '#core/cure/cure-method'
import { useNotation } from '~/composables/use-notation'
import type { BenchDraft } from './bench-draft'
import type { Bench } from './use-bench'
import { weighLines } from './weigh-lines'

/** What to weigh, a box to tick before each, room for what was really weighed behind it. */
const props = defineProps<{ draft: BenchDraft; bench: Bench; readabilityG: number }>()
const { meat, grams, percent } = useNotation()
const made = computed(() => props.bench.made.value)
const rows = computed(() => [
  ...(made.value && isWet(props.draft.method)
    ? [{ key: 'water', name: 'Water', code: '', amount: meat(made.value.waterG), isMixing: false }]
    : []),
  ...weighLines(props.draft, props.bench).map(({ key, name, code, massG }) => ({
    key,
    name,
    code,
    amount: grams(massG, props.readabilityG),
    isMixing: false,
  })),
  ...(made.value
    ? [{ key: 'mix', name: 'Mix until even', code: '', amount: grams(made.value.mixG, props.readabilityG), isMixing: true }]
    : []),
])
</script>

<template>
  <section>
    <h2>Weigh</h2>
    <table class="ruled">
      <tbody>
        <tr v-for="row in rows" :key="row.key">
          <td class="box" aria-hidden="true">☐</td>
          <td>
            {{ row.name }} <span v-if="row.code" class="code small">{{ row.code }}</span>
          </td>
          <td class="num" :class="{ weight: !row.isMixing }">{{ row.amount }}</td>
          <td class="fill" />
        </tr>
      </tbody>
    </table>
    <p v-if="made" class="small">
      Salt {{ percent(made.totalSaltShare, 2) }} in all, sugar {{ percent(made.totalSugarShare, 2) }}. Meat on
      {{ bench.meatScale.value?.name }}, cure on {{ bench.mixScale.value?.name }}.
    </p>
  </section>
</template>

<style scoped>
.weight {
  font-weight: 700;
}
.fill {
  width: 6rem;
  border-bottom: 1px dotted var(--peat) !important;
}
</style>
