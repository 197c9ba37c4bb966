<script setup lang="ts">
import { computed, ref } from 'vue'
import { formatMeat, formatTemperature, type Notation } from '#core/units/format'
import { formatDate } from '#core/calendar/format-date'
import { useNotice } from '~/composables/use-notice'
import { useSession } from '~/stores/session'

const session = useSession()
const { say } = useNotice()
const mine = ref<Notation>({ ...session.notation })
const failed = ref(false)
const sample = computed(
  () =>
    `${formatMeat(1840, mine.value)}, ${formatTemperature(63, mine.value)}, ${formatDate('2026-11-23', mine.value.dates)}`,
)
const CHOICES = [
  {
    key: 'mass',
    label: 'Weights',
    options: [
      ['metric', 'g and kg'],
      ['us', 'lb and oz'],
    ],
  },
  {
    key: 'temperature',
    label: 'Temperature',
    options: [
      ['C', '°C'],
      ['F', '°F'],
    ],
  },
  {
    key: 'decimal',
    label: 'Decimals',
    options: [
      ['.', '2.5'],
      [',', '2,5'],
    ],
  },
  {
    key: 'dates',
    label: 'Dates',
    options: [
      ['dmy', '23 Nov'],
      ['mdy', 'Nov 23'],
      ['iso', '2026-11-23'],
    ],
  },
] as const
async function choose(): Promise<void> {
  failed.value = !(await session.chooseNotation({ ...mine.value }))
  if (!failed.value) say(`From now on: ${sample.value}.`)
}
</script>

<template>
  <section id="notation" class="stack-tight" aria-labelledby="notation-head">
    <h2 id="notation-head">How I write figures</h2>
    <div v-for="choice in CHOICES" :key="choice.key" class="line">
      <span :id="`n-${choice.key}`">{{ choice.label }}</span>
      <VBtnToggle v-model="mine[choice.key]" mandatory variant="outlined" :aria-labelledby="`n-${choice.key}`">
        <VBtn v-for="[value, words] in choice.options" :key="value" :value="value">
          {{
            words
          }}
        </VBtn>
      </VBtnToggle>
    </div>
    <p>
      So: <strong>{{ sample }}</strong>. Cure ingredients stay in grams: ounces are too coarse for curing salt.
    </p>
    <p v-if="failed" class="caution grave" role="alert">This could not be kept. Try again.</p>
    <div><VBtn color="primary" @click="choose">Write them so</VBtn></div>
  </section>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 8rem minmax(0, 1fr);
  align-items: center;
}
@media (--phone) {
  .line {
    grid-template-columns: minmax(0, 1fr);
    gap: 0.2rem;
  }
  .line .v-btn {
    padding: 0 0.8rem;
  }
}
</style>
