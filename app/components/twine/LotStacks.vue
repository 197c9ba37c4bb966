<script setup lang="ts">
import { computed } from 'vue'
import { stacksOf } from '#core/turning/stack'
import type { Milliseconds } from '#core/units/quantities'
import type { LotPiece } from '#shared/contracts/lots'
import type { LotTwine } from '~/logic/lot-twine'
import StackDrawing from './StackDrawing.vue'
import { stackTurns } from './stack-turns'

/** The stacks that some pieces of a lot lie in, each with its next turns. */
const props = defineProps<{ pieces: readonly LotPiece[]; twines: readonly LotTwine[]; nowMs: Milliseconds }>()
const stacks = computed(() =>
  stacksOf(props.pieces)
    .filter(stack => stack.pieces.length > 1)
    .flatMap((stack) => {
      const twine = props.twines.find(one => stack.pieces.every(piece => one.pieces.includes(piece.id)))
      return twine ? [{ spot: stack.spot, then: stackTurns(stack, twine, props.nowMs) }] : []
    }),
)
</script>

<template>
  <div v-if="stacks.length" class="stacks">
    <StackDrawing v-for="{ spot, then } in stacks" :key="spot ?? ''" :spot="spot" :then="then" />
  </div>
</template>

<style scoped>
.stacks {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem 2rem;
}
</style>
