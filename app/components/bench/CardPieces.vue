<script setup lang="ts">
import { computed } from 'vue'
import { useNotation } from '~/composables/use-notation'
import type { BenchDraft } from './bench-draft'
import { readSides, sidesOf } from './read-draft'
import type { Bench } from './use-bench'

/** Each piece's share of the mix, and how much of it on which side. */
const props = defineProps<{ draft: BenchDraft; bench: Bench; close: boolean }>()
const { meat, grams } = useNotation()
const SIDES = ['flesh', 'fat', 'edges'] as const
const sides = computed(() => readSides(props.draft))
const hasGroups = computed(() => props.draft.seasonings.some(s => s.group !== 'all'))
const rows = computed(() =>
  props.bench.pieces.value.map((piece, i) => {
    const share = props.bench.shares.value[i]
    const mixG = share && share.mixG * props.bench.firstShare.value
    const each = mixG === undefined ? null : sidesOf(mixG, sides.value)
    return {
      number: i + 1,
      bag: piece.bag ?? '–',
      flavour: `${piece.group ?? 'A'}${share?.ownG ? ` ${grams(share.ownG)}` : ''}`,
      weight: piece.parsed ? meat(piece.parsed.netG) : piece.weight,
      mix: mixG === undefined ? null : grams(mixG),
      sides: SIDES.map(side => (each ? grams(each[side], 1) : '')),
    }
  }),
)
/** Long lists stand in two halves beside each other, so that a card stays one page. */
const halves = computed(() => {
  const middle = Math.ceil(rows.value.length / 2)
  return props.close ? [rows.value.slice(0, middle), rows.value.slice(middle)] : [rows.value]
})
</script>

<template>
  <section>
    <h2>Rub, each piece</h2>
    <div :class="{ halves: close }">
      <table v-for="(half, k) in halves" :key="k" class="ruled pieces">
        <thead>
          <tr>
            <th aria-hidden="true" />
            <th scope="col">Piece</th>
            <th v-if="bench.bags.value.length" scope="col">Bag</th>
            <th v-if="hasGroups" scope="col">Flavour</th>
            <th scope="col" class="num">Green weight</th>
            <th scope="col" class="num">Mix</th>
            <th scope="col" class="num">flesh</th>
            <th scope="col" class="num">{{ draft.rind === 'on' ? 'rind' : 'fat' }}</th>
            <th scope="col" class="num">edges</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in half" :key="row.number">
            <td class="box" aria-hidden="true">☐</td>
            <td>{{ row.number }}</td>
            <td v-if="bench.bags.value.length">{{ row.bag }}</td>
            <td v-if="hasGroups">{{ row.flavour }}</td>
            <td class="num">{{ row.weight }}</td>
            <template v-if="row.mix !== null">
              <td class="num">
                <strong>{{ row.mix }}</strong>
              </td>
              <td v-for="(side, s) in row.sides" :key="s" class="num">{{ side }}</td>
            </template>
            <td v-else colspan="4" />
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.halves {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 1.6rem;
  align-items: start;
}
@media (--phone) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
  .pieces {
    font-size: 0.86rem;
  }
}
</style>
