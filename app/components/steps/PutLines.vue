<script setup lang="ts">
import { INGREDIENT_RANGE } from '#core/rules/ranges'
import { mdiClose, mdiPlus } from '@mdi/js'
import { computed } from 'vue'
import type { PutChoice } from '#shared/contracts/puts'
import InstrumentSelect from '~/components/common/InstrumentSelect.vue'
import WeightField from '~/components/common/WeightField.vue'
import { useNotation } from '~/composables/use-notation'
import type { Puts } from './use-puts'

/** What goes on, lot by lot of the store, each weighed for all pieces meant, or said not to be. */
const props = defineProps<{ puts: Puts }>()
const { grams } = useNotation()
const { lines, view, scaleId, choiceOf, more, remove } = props.puts
const title = ({ code, name, isOwn, isPast, leftG }: PutChoice) =>
  `${name}, ${code}${isOwn ? ', as at the rub' : ''}${isPast ? ', PAST ITS DATE' : ''}: ${grams(leftG)} left`
const items = computed(() => (view.value?.lots ?? []).map(lot => ({ value: lot.code, title: title(lot) })))
const chosen = computed(() => lines.value.flatMap(one => choiceOf(one.lotCode) ?? []))
const allergens = computed(() => [...new Set(chosen.value.flatMap(lot => lot.allergens))])
const hasAgent = computed(() => chosen.value.some(lot => lot.role === 'agent'))
const unweighedMix = computed(() => lines.value.some(one => one.byEye && choiceOf(one.lotCode)?.role === 'agent'))
</script>

<template>
  <div v-for="(one, i) in lines" :key="i" class="line">
    <VSelect v-model="one.lotCode" :items="items" :label="i === 0 ? 'What goes on' : 'And'" hide-details />
    <WeightField
      v-if="!one.byEye"
      v-model="one.weighed"
      :label="one.about === null ? 'Weight, for all' : `About ${grams(one.about)}`"
      fine
      :range="INGREDIENT_RANGE"
    />
    <p v-else class="small eye">not weighed</p>
    <VCheckbox
      v-if="choiceOf(one.lotCode)?.mayBeByEye"
      v-model="one.byEye"
      label="Not weighed"
      density="comfortable"
      hide-details
    />
    <VBtn v-if="lines.length > 1" variant="text" :icon="mdiClose" :aria-label="`Leave ${one.lotCode} out`" @click="remove(i)" />
  </div>
  <div class="row">
    <VBtn variant="text" :prepend-icon="mdiPlus" @click="more">More</VBtn>
    <InstrumentSelect v-model="scaleId" class="scale" kind="scale" purpose="mix" prefer="mix" label="Weighed on" />
  </div>
  <p v-if="hasAgent" class="caution">Curing salt is poisonous: weighed, never by eye. No. 1 is not no. 2.</p>
  <p v-if="unweighedMix" class="caution">
    This mix holds nitrite. Not weighed, nobody can say how much lies on the meat: the lot will wait for the owner.
  </p>
  <p v-if="allergens.length" class="small">Allergens for the label: {{ allergens.join(', ') }}.</p>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 0.4rem;
  align-items: start;
}
.eye {
  margin: 0;
  min-height: 56px;
  display: flex;
  align-items: center;
}
.scale {
  max-width: 18rem;
}
.v-btn {
  min-height: 56px;
  min-width: 56px;
}
.line :deep(.v-checkbox) {
  min-height: 56px;
}
.caution {
  margin: 0;
}
.line > :first-child {
  grid-column: 1 / -1;
}
/* There is room for little beside the twine; under it for all on one line. */
@container (min-width: 36rem) {
  .line {
    grid-template-columns: minmax(0, 2fr) minmax(0, 1fr) auto auto;
  }
  .line > :first-child {
    grid-column: auto;
  }
}
</style>
