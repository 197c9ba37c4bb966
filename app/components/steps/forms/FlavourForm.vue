<script setup lang="ts">
import { LASTED_RANGE_MINUTES } from '#core/rules/ranges'
import { computed, ref } from 'vue'
import { upperFirst } from '#core/lists/upper-first'
import { FLAVOUR_WAYS, type FlavourWay } from '#core/life/kinds/flavour'
import { FLAVOUR_WORDS } from '#shared/messages/plans'
import { FLAVOURED } from '#shared/steps/flavour'
import NumberField from '~/components/common/NumberField.vue'
import PickOne from '../PickOne.vue'
import PutForm from '../PutForm.vue'
import type { PressStep } from '~/logic/press'
import { usePuts } from '../use-puts'
import type { AskEvents, AskProps } from '../ask-row'

/** Flavour after the cure: a marinade that goes on, or lasted; dry spice on the pellicle; a glaze. */
const props = defineProps<AskProps>()
const emit = defineEmits<AskEvents>()
const HOW = FLAVOUR_WAYS.map(value => ({ value, words: upperFirst(FLAVOUR_WORDS[value]) }))
const planned = props.row.flavour ?? 'dry_spice'
const how = ref<FlavourWay | null>(planned)
const lasted = ref<number | null>(null)
const puts = usePuts(props.row.lot.code, 'flavour')
const way = computed(() => how.value ?? planned)
function tell(): void {
  const minutes = way.value === 'marinade' ? lasted.value : 0
  const step: PressStep = { kind: 'flavour', how: way.value, minutes, parts: puts.parts(), scaleId: puts.scaleId.value }
  emit('tell', [step], `${FLAVOURED[way.value].toLowerCase()}: ${puts.words()}.`, { then: puts.clear })
}
</script>

<template>
  <PutForm
    label="Flavoured"
    asks="What flavour went on, and how?"
    button="It is on"
    :puts="puts"
    :saving="saving"
    @tell="tell"
    @close="emit('close')"
  >
    <PickOne v-model="how" label="How" :choices="HOW" />
    <NumberField
      v-if="way === 'marinade'"
      v-model="lasted"
      label="Lay in it, minutes; empty: it goes in now"
      optional
      :min="LASTED_RANGE_MINUTES.min"
      :max="LASTED_RANGE_MINUTES.max"
    />
    <p class="small soft">Its allergens come onto the label.</p>
  </PutForm>
</template>
