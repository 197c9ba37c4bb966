<script setup lang="ts">
import { computed } from 'vue'
import type { CuttingView, MeatPieceView, MeatView } from '#shared/contracts/store'
import InstrumentNote from '~/components/common/InstrumentNote.vue'
import LotCode from '~/components/common/LotCode.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useNotation } from '~/composables/use-notation'
import { useSession } from '~/stores/session'

/** The pieces under the knife, as a tree: each cut with what came off it, each leaf with where it went. */
const props = defineProps<{ lot: MeatView }>()
const emit = defineEmits<{ cut: [pieceId: number] }>()
const session = useSession()
const { meat, moment, percent } = useNotation()
const WORDS = { cut: 'cut', bone: 'boned', split: 'split', trim: 'trimmed' }
type Row = { depth: number } & ({ cutting: CuttingView } | { piece: MeatPieceView })
const rows = computed(() => {
  const list: Row[] = []
  const walk = (parentId: number | null, depth: number) => {
    for (const cutting of props.lot.cuttings.filter(one => one.parentId === parentId)) {
      list.push({ depth, cutting })
      for (const piece of props.lot.pieces.filter(one => one.cuttingId === cutting.id)) {
        list.push({ depth: depth + 1, piece })
        walk(piece.id, depth + 1)
      }
    }
  }
  walk(null, 0)
  return list
})
const offcuts = (cutting: CuttingView) =>
  (
    [
      ['trim', cutting.trimG],
      ['bone', cutting.boneG],
      ['rind', cutting.rindG],
    ] as const
  ).filter(([, massG]) => massG > 0)
</script>

<template>
  <ul class="tree" :aria-label="`Pieces of ${lot.code}`">
    <li
      v-for="row in rows"
      :key="'piece' in row ? `p${row.piece.id}` : `c${row.cutting.id}`"
      :style="{ '--depth': row.depth }"
      :class="'piece' in row ? 'piece' : 'knife'"
    >
      <template v-if="'cutting' in row">
        <span>{{ meat(row.cutting.fromG) }} {{ WORDS[row.cutting.kind] }}</span>
        <span v-for="[name, massG] in offcuts(row.cutting)" :key="name" class="soft">{{ name }} {{ meat(massG) }}</span>
        <span :class="{ soft: Math.abs(row.cutting.unaccountedG / row.cutting.fromG) <= 0.01 }">unaccounted
          {{ meat(row.cutting.unaccountedG) }},
          {{ percent(row.cutting.unaccountedG / row.cutting.fromG) }}</span>
        <span class="soft small">{{ row.cutting.by }}, {{ moment(row.cutting.atMs)
        }}{{ row.cutting.note ? `: ${row.cutting.note}` : '' }}</span><InstrumentNote :mark="row.cutting.scale" />
      </template>
      <template v-else>
        <span class="code">{{ row.piece.label }}</span><strong>{{ meat(row.piece.massG) }}</strong>
        <span v-if="row.piece.lot" class="soft">in <LotCode :code="row.piece.lot" /></span>
        <span v-else-if="row.piece.divided" class="soft">divided</span>
        <StateMark v-else tone="good">free</StateMark>
        <VBtn
          v-if="session.mayWrite && !row.piece.lot && !row.piece.divided"
          class="slim"
          variant="outlined"
          @click="emit('cut', row.piece.id)"
        >
          Cut, bone, split<span class="visually-hidden"> piece {{ row.piece.label }}</span>
        </VBtn>
      </template>
    </li>
  </ul>
</template>

<style scoped>
.tree {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 0.1rem 1rem;
  align-items: center;
  margin-left: calc(var(--depth) * 1.7rem);
  border-left: 2px solid var(--hair-strong);
  padding: 0.22rem 0 0.22rem 0.8rem;
  min-height: 34px;
  position: relative;
}
.piece::before {
  content: '';
  position: absolute;
  left: 0;
  top: 50%;
  width: 0.6rem;
  border-top: 2px solid var(--hair-strong);
}
.knife {
  border-left-style: dashed;
  color: var(--peat);
}
</style>
