<script setup lang="ts">
import { computed } from 'vue'
import type { EventView } from '#shared/contracts/events'
import { useNotation } from '~/composables/use-notation'
import { liquidWords } from '#shared/steps/drain'
import CorrectButton from './CorrectButton.vue'
import CorrectHour from './CorrectHour.vue'

/** What of a press can be set right: its hour, and how much liquid left. The rest is voided and told again. */
const props = defineProps<{ event: EventView<'step'> }>()
const emit = defineEmits<{ corrected: [] }>()
const { as } = useNotation()
const drain = computed(() => props.event.typed.steps.find(step => step.kind === 'drain') ?? null)
</script>

<template>
  <CorrectHour :event="event" @corrected="emit('corrected')" />
  <CorrectButton
    v-if="drain"
    :id="event.id"
    what="step_drained"
    :about="`what left by record ${event.id}`"
    :now="liquidWords(drain.liquid, as)"
    hint="Weighed, like 45 g"
    @corrected="emit('corrected')"
  />
</template>
