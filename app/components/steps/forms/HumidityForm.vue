<script setup lang="ts">
import ChipStep from '../ChipStep.vue'
import type { AskEvents, AskProps } from '../ask-row'

/** The air was set anew, for what hangs here. */
defineProps<AskProps>()
const emit = defineEmits<AskEvents>()
const CHOICES = [85, 80, 75, 70, 65].map(percent => ({ value: String(percent), words: `${percent} %` }))
const choose = (percent: string) => emit('tell', [{ kind: 'humidity', percent: Number(percent) }], `air set to ${percent} %.`)
</script>

<template>
  <ChipStep label="Air set to?" :choices="CHOICES" :saving="saving" @choose="choose" @close="emit('close')">
    <p class="small soft">Drier too soon, and a hard skin keeps the middle wet. A humidifier wants filling every 2 to 3 days.</p>
  </ChipStep>
</template>
