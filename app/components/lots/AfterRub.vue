<script setup lang="ts">
import { computed } from 'vue'
import type { LotView } from '#shared/contracts/lots'
import { useRecorded } from '~/composables/use-recorded'
import LabResults from './LabResults.vue'
import SecondApplication from './SecondApplication.vue'
import WeighAfter from './WeighAfter.vue'

/** What a lot's method or law still asks for after the rub: the second half, what comes off, the laboratory. */
const props = defineProps<{ lot: LotView }>()
const emit = defineEmits<{ changed: [] }>()
const recorded = useRecorded()
const weighsBack = computed(() => props.lot.method === 'excess' || props.lot.method === 'wet_pick_up')
const asksLab = computed(() => props.lot.judgement.residual.length > 0)

function done(words: string, eventId: number | null): void {
  recorded(words, eventId, async () => emit('changed'))
  emit('changed')
}
</script>

<template>
  <section v-if="lot.secondDue || weighsBack || asksLab" class="stack" aria-label="After the rub">
    <SecondApplication v-if="lot.secondDue" :lot="lot" @done="done" />
    <WeighAfter v-if="weighsBack" :lot="lot" @done="done" />
    <LabResults v-if="asksLab" :lot="lot" @done="done" />
  </section>
</template>
