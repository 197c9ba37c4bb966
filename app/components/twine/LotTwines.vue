<script setup lang="ts">
import type { LotPiece } from '#shared/contracts/lots'
import { rhythmWords } from '#shared/messages/plans'
import { piecesWords } from '#shared/messages/pieces'
import type { LotTwine } from '~/logic/lot-twine'
import CureTwine from './CureTwine.vue'

/** A lot's twines under one another, each named by its pieces where there are several. */
const props = defineProps<{
  twines: readonly LotTwine[]
  pieces: readonly LotPiece[]
  fromDay: number
  toDay: number
  width: number
  showDays?: boolean
}>()
const which = ({ pieces, plan }: LotTwine) => {
  const numbers = props.pieces.filter(piece => pieces.includes(piece.id)).map(piece => piece.label)
  return `${piecesWords(numbers)}, ${rhythmWords(plan.cure.rhythm)}`
}
</script>

<template>
  <div v-for="(twine, i) in twines" :key="i">
    <div v-if="twines.length > 1" class="small soft">{{ which(twine) }}</div>
    <CureTwine
      :knots="twine.knots"
      :day="twine.day"
      :ready-from-day="twine.readyFromDay"
      :best-by-day="twine.bestByDay"
      :first-face="twine.firstFace"
      :stacked="twine.stacked"
      :from-day="fromDay"
      :to-day="toDay"
      :width="width"
      :ended="twine.ended"
      :show-days="showDays && i === twines.length - 1"
    />
  </div>
</template>
