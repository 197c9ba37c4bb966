<script setup lang="ts">
import { DELIVERY_RANGE } from '#core/rules/ranges'
import type { Celsius } from '#core/units/quantities'
import { ARRIVAL_REFUSE_C, ARRIVAL_WARN_C } from '#core/rules/house'
import { computed } from 'vue'
import { withoutOffset } from '#core/instruments/check-instrument'
import { CUTS } from '#core/rules/cuts'
import { parseTemperature } from '#core/typed/parse-temperature'
import { ARRIVAL_CHECKS, DECISIONS } from '#shared/contracts/store'
import DateField from '~/components/common/DateField.vue'
import TemperatureField from '~/components/common/TemperatureField.vue'
import WeightField from '~/components/common/WeightField.vue'
import { useNotation } from '~/composables/use-notation'
import type { LineDraft } from './delivery-draft'

/** One cut of a delivery: what, how much, how warm, in what state, and whether it comes in. */
const props = defineProps<{
  index: number
  only: boolean
  offsetC: Celsius
  errorAt: (path: string) => string | undefined
}>()
const line = defineModel<LineDraft>({ required: true })
const emit = defineEmits<{ off: [] }>()
const { as, limit, temperature, offset } = useNotation()
const at = (field: string) => props.errorAt(`lines.${props.index}.${field}`)
const CHECK_WORDS = { smell: 'Smell', colour: 'Colour', fat: 'Fat', evenness: 'Evenness' }
const DECISION_WORDS = { take: 'Take it in', hold: 'Hold it', refuse: 'Send it back' }
const arrivedC = computed(() => {
  const parsed = parseTemperature(line.value.temperature, as.value.temperature)
  return parsed.ok ? withoutOffset(parsed.value, props.offsetC) : null
})
const tooWarm = computed(() => arrivedC.value !== null && arrivedC.value > ARRIVAL_REFUSE_C)
const poor = computed(() => ARRIVAL_CHECKS.some(check => line.value.checks[check] === 'poor'))
const allGood = () => {
  line.value.checks = Object.fromEntries(ARRIVAL_CHECKS.map(check => [check, 'good']))
}
</script>

<template>
  <fieldset class="line stack-tight">
    <legend class="visually-hidden">Cut {{ index + 1 }}</legend>
    <div class="row spread">
      <div class="row">
        <VBtnToggle v-model="line.cut" mandatory variant="outlined" aria-label="Cut">
          <VBtn v-for="cut in CUTS" :key="cut" :value="cut">{{ cut }}</VBtn>
        </VBtnToggle>
        <VBtnToggle v-model="line.rind" mandatory variant="outlined" aria-label="Rind">
          <VBtn value="off">Rind off</VBtn><VBtn value="on">Rind on</VBtn>
        </VBtnToggle>
      </div>
      <VBtn v-if="!only" variant="text" @click="emit('off')">Take this cut off</VBtn>
    </div>
    <div class="fields">
      <WeightField v-model="line.weight" label="Weight" :range="DELIVERY_RANGE" :error="at('weight')" />
      <TemperatureField v-model="line.temperature" label="Temperature on arrival" :error="at('temperature')" />
      <VTextField v-model="line.supplierLot" label="Their lot" autocomplete="off" :error-messages="at('supplierLot')" />
      <DateField v-model="line.packDate" label="Pack date" :error="at('packDate')" />
    </div>
    <p v-if="offsetC !== 0 && arrivedC !== null" class="small soft">
      {{ temperature(arrivedC) }} once the thermometer's {{ offset(offsetC) }} is taken off.
    </p>
    <div class="checks" role="group" aria-label="Condition">
      <div v-for="check in ARRIVAL_CHECKS" :key="check" class="check">
        <span :id="`check-${index}-${check}`">{{ CHECK_WORDS[check] }}</span>
        <VBtnToggle v-model="line.checks[check]" variant="outlined" :aria-labelledby="`check-${index}-${check}`">
          <VBtn value="good">good</VBtn><VBtn value="poor">poor</VBtn>
        </VBtnToggle>
        <span v-if="at(`checks.${check}`)" class="fault">Look at it</span>
      </div>
      <VBtn variant="outlined" @click="allGood">All four good</VBtn>
    </div>
    <p v-if="tooWarm" class="caution grave">
      <strong>Above {{ limit(ARRIVAL_REFUSE_C) }}: not to be taken in.</strong> Send it back, or hold it for the owner,
      and say why.
    </p>
    <p v-else-if="arrivedC !== null && arrivedC > ARRIVAL_WARN_C" class="caution">
      <strong>Warm.</strong> Above {{ limit(ARRIVAL_WARN_C) }}: chill it at once and look at it well.
    </p>
    <div class="row decide">
      <VBtnToggle v-model="line.decision" mandatory variant="outlined" aria-label="Decision">
        <VBtn v-for="decision in DECISIONS" :key="decision" :value="decision">
          {{
            DECISION_WORDS[decision]
          }}
        </VBtn>
      </VBtnToggle>
      <VTextField
        v-if="line.decision !== 'take' || poor || at('reason')"
        v-model="line.reason"
        label="Why"
        maxlength="500"
        :error-messages="at('reason')"
      />
    </div>
    <p v-if="at('decision')" class="caution grave" role="alert">{{ at('decision') }}</p>
  </fieldset>
</template>

<style scoped>
.line {
  border: 0;
  border-bottom: 1px solid var(--hair-strong);
  padding: 0.4rem 0 1.1rem;
  margin: 0;
  min-width: 0;
}
.fields {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 0.6rem;
  align-items: start;
}
.checks {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 1.3rem;
  align-items: center;
}
.check {
  display: flex;
  gap: 0.5rem;
  align-items: center;
}
.check .v-btn {
  padding: 0 0.7rem;
}
.fault {
  color: var(--ember);
  font-weight: 600;
  font-size: 0.86rem;
}
.decide .v-input {
  flex: 1 1 16rem;
}
@media (--tablet) {
  .fields {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  .check {
    justify-content: space-between;
  }
}
@media (--phone) {
  .fields {
    grid-template-columns: minmax(0, 1fr);
  }
  .check {
    width: 100%;
  }
  .line .v-btn {
    padding: 0 0.55rem;
    min-width: 0;
  }
}
</style>
