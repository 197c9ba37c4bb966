<script setup lang="ts">
import { ref } from 'vue'
import type { Milliseconds } from '#core/units/quantities'
import type { PressWhen } from '~/logic/press'
import WhenStep from './WhenStep.vue'

/** Not now, but earlier: for what is mostly told as it happens. Nothing chosen, it is now. */
defineProps<{ nowMs: Milliseconds; label?: string }>()
const when = defineModel<{ at: PressWhen; words: string } | null>({ required: true })
const open = ref(false)
function choose(at: PressWhen, words: string): void {
  when.value = { at, words }
  open.value = false
}
</script>

<template>
  <div class="told-late">
    <WhenStep v-if="open" what="" :now-ms="nowMs" @choose="choose" @close="open = false" />
    <VChip v-else-if="when" closable size="large" :close-label="`Not ${when.words}: now`" @click:close="when = null">
      {{ when.words }}
    </VChip>
    <VBtn v-else variant="text" class="ask" @click="open = true">{{ label ?? 'Not just now?' }}</VBtn>
  </div>
</template>

<style scoped>
.ask {
  min-height: 56px;
  padding-inline: 0.4rem;
}
</style>
