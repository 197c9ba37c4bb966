<script setup lang="ts">
import type { LotPiece } from '#shared/contracts/lots'
import ChipStep from './ChipStep.vue'

/** A choice of one of some pieces, by a tap. */
const props = defineProps<{ asks: string; pieces: LotPiece[] }>()
const emit = defineEmits<{ choose: [piece: LotPiece]; close: [] }>()
const choose = (id: string) => emit('choose', props.pieces.find(piece => String(piece.id) === id)!)
</script>

<template>
  <ChipStep
    :label="asks"
    :choices="pieces.map(piece => ({ value: String(piece.id), words: `Piece ${piece.label}${piece.tag ? `, ${piece.tag}` : ''}` }))"
    :saving="false"
    @choose="choose"
    @close="emit('close')"
  />
</template>
