<script setup lang="ts">
import { groupBy } from '#core/lists/group-by'
import { mdiArrowDownBold, mdiArrowUpBold } from '@mdi/js'
import { computed } from 'vue'
import type { LotPiece } from '#shared/contracts/lots'

/** Pieces as they lie, spot by spot; a tap chooses one, a tap on the spot all in it. Nobody chosen: all are meant. */
const props = defineProps<{ pieces: LotPiece[]; pickable: boolean }>()
const chosen = defineModel<number[]>({ required: true })
const spots = computed(() =>
  [...groupBy(props.pieces, piece => piece.spot ?? '').entries()].map(([spot, pieces]) => ({ spot, pieces })),
)
const isChosen = (id: number) => chosen.value.includes(id)
const toggle = (ids: number[]) => {
  const all = ids.every(isChosen)
  chosen.value = all ? chosen.value.filter(id => !ids.includes(id)) : [...new Set([...chosen.value, ...ids])]
}
const faceWords = (piece: LotPiece) => `${piece.tag ? `, tagged ${piece.tag}` : ''}${piece.face === null ? '' : `, ${piece.face} up`}`
</script>

<template>
  <div class="spots">
    <div v-for="{ spot, pieces: here } in spots" :key="spot" class="spot" :class="{ tub: spot }">
      <button
        v-if="spot && pickable"
        type="button"
        class="name"
        :aria-pressed="here.every(piece => isChosen(piece.id))"
        @click="toggle(here.map(piece => piece.id))"
      >
        {{ spot }}
      </button>
      <span v-else-if="spot" class="name">{{ spot }}</span>
      <component
        :is="pickable ? 'button' : 'span'"
        v-for="piece in here"
        :key="piece.id"
        :type="pickable ? 'button' : undefined"
        class="piece"
        :aria-label="pickable ? `Piece ${piece.label}${faceWords(piece)}` : undefined"
        :aria-pressed="pickable ? isChosen(piece.id) : undefined"
        @click="pickable && toggle([piece.id])"
      >
        {{ piece.label }}<span v-if="piece.tag" class="tag">{{ piece.tag }}</span><VIcon
          v-if="piece.face"
          :icon="piece.face === 'flesh' ? mdiArrowUpBold : mdiArrowDownBold"
          size="13"
          aria-hidden="true"
        />
      </component>
    </div>
  </div>
</template>

<style scoped>
.tag {
  margin-left: 0.3rem;
  font-size: 0.78rem;
  font-weight: 400;
  max-width: 6rem;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.spots {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 0.5rem;
}
.spot {
  display: flex;
  align-items: center;
  gap: 2px;
}
.tub {
  border-left: 2px solid var(--hair);
  border-bottom: 2px solid var(--hair);
  padding-left: 0.3rem;
}
.name {
  border: 0;
  background: none;
  font: inherit;
  font-size: 0.86rem;
  color: var(--soft);
  padding: 0 0.3rem 0 0;
  min-height: 32px;
  display: inline-flex;
  align-items: center;
}
.piece {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  min-width: 38px;
  min-height: 32px;
  border: 1px solid var(--hair-strong, var(--soft));
  border-radius: 45% 40% 46% 38% / 55% 50% 60% 45%;
  background: var(--sheet);
  color: inherit;
  font-family: inherit;
  font-size: 1rem;
  font-variant-numeric: tabular-nums;
  font-weight: 600;
}
button.piece[aria-pressed='true'],
button.name[aria-pressed='true'] {
  background: var(--heather);
  color: var(--bone);
  border-color: var(--heather);
}
@media (--tablet) {
  .piece {
    min-width: 56px;
    min-height: 56px;
  }
  .name {
    min-height: 56px;
    padding: 0 0.6rem 0 0.2rem;
  }
}
</style>
