<script setup lang="ts">
import { computed, ref } from 'vue'
import { mdiUndo } from '@mdi/js'
import type { LotPiece } from '#shared/contracts/lots'
import AskHead from '../AskHead.vue'
import type { PressStep } from '~/logic/press'
import type { AskEvents, AskProps } from '../ask-row'

/** How a stack lies, tapped from the bottom up; with a turn, or as it was found. */
const props = defineProps<AskProps>()
const emit = defineEmits<AskEvents>()
const order = ref<LotPiece[]>([])
/** One stack at a time: after the first tap those of its spot. */
const left = computed(() =>
  props.row.pieces.filter(piece => !order.value.includes(piece) && (!order.value[0] || piece.spot === order.value[0].spot)),
)
const numbers = computed(() => order.value.map(piece => piece.label).join(', '))
function tell(turned: boolean): void {
  const ids = order.value.map(piece => piece.id)
  const { spot } = order.value[0]!
  const step: PressStep = turned
    ? { kind: 'turn', how: 'turned', face: null, order: ids }
    : { kind: 'move', placeId: props.row.from!, spot, order: ids }
  emit('tell', [step], `${turned ? 'turned; ' : ''}lies from the bottom ${numbers.value}.`, { pieces: ids })
}
</script>

<template>
  <div class="stacking" role="group" aria-label="How the stack lies, from the bottom up" @keydown.esc="emit('close')">
    <AskHead :asks="order.length ? `From the bottom: ${numbers}` : 'Tap the piece at the bottom first'" @close="emit('close')" />
    <VBtn v-for="piece in left" :key="piece.id" class="choice" variant="outlined" :disabled="saving" @click="order.push(piece)">
      {{ order.length ? `then ${piece.label}` : `${piece.label} at the bottom` }}
      <span v-if="piece.spot" class="small">{{ piece.spot }}</span>
    </VBtn>
    <template v-if="order.length > 0 && left.length === 0">
      <VBtn color="primary" :loading="saving" @click="tell(true)">Turned, lies so</VBtn>
      <VBtn v-if="row.from !== null" variant="outlined" :loading="saving" @click="tell(false)">Lies so, not turned</VBtn>
    </template>
    <VBtn v-if="order.length" variant="text" :prepend-icon="mdiUndo" :disabled="saving" @click="order.pop()">One back</VBtn>
  </div>
</template>

<style scoped>
.stacking {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(7rem, 1fr));
  gap: 0.4rem;
}
.v-btn {
  min-height: 56px;
}
.stacking > .v-btn:not(.choice) {
  grid-column: 1 / -1;
}
</style>
