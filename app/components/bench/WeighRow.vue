<script setup lang="ts">
import { INGREDIENT_RANGE } from '#core/rules/ranges'
import { computed } from 'vue'
import type { Grams } from '#core/units/quantities'
import type { BenchView } from '#shared/contracts/lots'
import WeightField from '~/components/common/WeightField.vue'
import { useNotation } from '~/composables/use-notation'
import { leftWords, nitriteWords } from './weigh-words'

type StoredLot = BenchView['ingredients'][number]

/** One ingredient: the grams large, the lot it comes from, and what was really weighed. */
const props = defineProps<{
  name: string
  massG: Grams | undefined
  readabilityG: Grams
  lot: StoredLot | null | undefined
  choices: readonly StoredLot[]
  today: string
  lotError?: string | undefined
  weighedError?: string | undefined
}>()
const emit = defineEmits<{ lot: [code: string]; enter: [] }>()
const weighed = defineModel<string>('weighed', { required: true })
const { as, grams } = useNotation()
const items = computed(() =>
  props.choices.map(lot => ({
    value: lot.code,
    title: `${lot.code} ${lot.name}`,
    props: { subtitle: leftWords(lot, props.today, as.value) },
  })),
)
</script>

<template>
  <tr>
    <td>
      <strong>{{ name }}</strong>
      <div v-if="lot?.agent" class="small soft">{{ nitriteWords(lot, as) }}</div>
    </td>
    <td class="num">
      <span class="big">{{ massG === undefined ? '–' : grams(massG, readabilityG) }}</span>
    </td>
    <td class="from">
      <VSelect
        :model-value="lot?.code"
        :items="items"
        :label="`${name} lot`"
        density="compact"
        :error-messages="lotError"
        no-data-text="None in the store"
        @update:model-value="emit('lot', $event ?? '')"
      />
    </td>
    <td class="weighed">
      <WeightField
        v-model="weighed"
        :label="`${name}, grams`"
        fine
        :range="INGREDIENT_RANGE"
        :error="weighedError"
        @enter="emit('enter')"
      />
    </td>
  </tr>
</template>

<style scoped>
td {
  vertical-align: middle !important;
}
.big {
  font: 700 1.7rem/1 var(--slab);
  font-variant-numeric: lining-nums tabular-nums;
  white-space: nowrap;
}
.from {
  min-width: 11rem;
}
.weighed {
  min-width: 11.5rem;
}
@media (--phone) {
  tr {
    display: grid;
    grid-template-columns: 1fr auto;
    border-bottom: 1px solid var(--hair);
    padding: 0.5rem 0;
  }
  td {
    border: 0 !important;
    padding: 0.2rem 0 !important;
  }
  .from,
  .weighed {
    min-width: 0;
    grid-column: 1 / -1;
  }
}
</style>
