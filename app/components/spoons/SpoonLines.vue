<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { GRAINS, grainOf } from '#core/spoons/grains'
import type { Interval } from '#core/spoons/interval'
import { useNotation } from '~/composables/use-notation'
import { massWords } from './spoon-words'

export interface SpoonLineDraft {
  grain: string
  typed: string
}
const props = defineProps<{ faults: (string | null)[]; masses: (Interval | null)[] }>()
const lines = defineModel<SpoonLineDraft[]>({ required: true })
const { grams, number } = useNotation()
const items = GRAINS.map(({ key, name }) => ({ value: key, title: name }))
const density = (key: string) => {
  const grain = grainOf(key)
  return grain ? `${number(grain.gramsPerMl.low, 2)} to ${number(grain.gramsPerMl.high, 2)} g/mL` : ''
}
const means = (i: number) => {
  const mass = props.masses[i]
  return mass ? massWords(mass, grams) : ''
}
</script>

<template>
  <div class="stack-tight no-print">
    <div v-for="(line, i) in lines" :key="i" class="line">
      <VSelect
        v-model="line.grain"
        :items="items"
        label="What"
        density="compact"
        :hint="density(line.grain)"
        persistent-hint
      />
      <VTextField
        v-model="line.typed"
        label="How much"
        placeholder="2 tsp per 3 kg"
        density="compact"
        autocomplete="off"
        :error-messages="faults[i] ? [faults[i]!] : []"
      />
      <p class="means">{{ means(i) }}</p>
      <VBtn variant="text" :icon="mdiClose" :aria-label="`Leave line ${i + 1} out`" @click="lines.splice(i, 1)" />
    </div>
    <div>
      <VBtn variant="outlined" @click="lines.push({ grain: 'fine_salt', typed: '' })">Add a line</VBtn>
    </div>
  </div>
  <div class="print-only">
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col">How much</th>
          <th scope="col">That is</th>
          <th scope="col">If a mL is</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(line, i) in lines" :key="i">
          <td>{{ grainOf(line.grain)?.name }}</td>
          <td>{{ line.typed }}</td>
          <td>{{ faults[i] ?? means(i) }}</td>
          <td>{{ density(line.grain) }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 1.4fr 1.2fr 1.2fr auto;
  gap: 0.6rem;
  align-items: start;
}
.means {
  padding-top: 0.7rem;
  font-variant-numeric: tabular-nums;
}
@media (--phone) {
  .line {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .line > :first-child {
    grid-column: 1 / -1;
  }
  .means {
    padding-top: 0;
    grid-column: 1;
  }
}
</style>
