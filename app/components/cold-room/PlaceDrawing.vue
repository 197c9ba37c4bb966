<script setup lang="ts">
import { computed, onMounted, onUpdated, ref } from 'vue'
import { useDisplay } from 'vuetify'
import { groupBy } from '#core/lists/group-by'
import { layoutOf } from '#core/places/layout'
import type { PlaceView } from '#shared/contracts/places'
import SlabButton from './SlabButton.vue'
import VesselDrawing from './VesselDrawing.vue'
import { placeWords, slabsOf } from './slabs'
import type { LyingGroup } from './lying'

/**
 * A place as it is: its hooks, its shelves, what stands there, each piece where it lies. A tap chooses a piece, a tap
 * on a tub all in it; the rows below do the rest. One stop for the tab key, arrows from piece to piece.
 */
const props = defineProps<{ place: PlaceView; lying: LyingGroup }>()
const box = ref<HTMLElement | null>(null)
/** What is to be done comes first on a phone. */
const { smAndUp: isWide } = useDisplay()
const layout = computed(() => layoutOf(props.place, slabsOf(props.lying)))
const words = computed(() => placeWords(props.place, layout.value))
/** Bags of two lots may bear one name: each lot's stands by itself. */
const standing = computed(() => {
  const { vessels, loose } = layout.value
  const named = vessels.map(one => ({ ...one, words: one.name }))
  return [...named, { vessel: 'loose' as const, words: 'spot not told', pieces: loose }]
    .flatMap(({ vessel, words: said, pieces }) =>
      [...groupBy(pieces, slab => slab.code).entries()].map(([code, ofLot]) => ({ vessel, words: said, code, pieces: ofLot })),
    )
    .toSorted((a, b) => a.code.localeCompare(b.code))
})

const STEPS: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }
const buttons = () => [...box.value!.querySelectorAll('button')]
/** The button that is the stop of the tab key: the one where it was last, else the first. */
let stop: HTMLButtonElement | undefined
function stopAt(next: HTMLButtonElement | undefined): void {
  if (stop && stop !== next) stop.tabIndex = -1
  stop = next
  if (stop) stop.tabIndex = 0
}
const keepStop = () => stop?.isConnected || stopAt(buttons()[0])
onMounted(keepStop)
onUpdated(keepStop)
function walk(event: KeyboardEvent): void {
  const by = STEPS[event.key]
  if (by === undefined) return
  const all = buttons()
  const next = all[all.indexOf(event.target as HTMLButtonElement) + by]
  if (!next) return
  event.preventDefault()
  next.focus()
}
</script>

<template>
  <details class="drawing" :open="isWide">
    <summary class="small">As it lies: {{ words }}</summary>
    <div
      ref="box"
      role="group"
      :aria-label="`${place.name} as it lies: ${words}`"
      @focusin="stopAt($event.target as HTMLButtonElement)"
      @keydown="walk"
    >
      <ul v-if="layout.hooks.length" class="rail" aria-label="Hooks">
        <li v-for="{ hook, pieces } in layout.hooks" :key="hook" class="hook">
          <svg viewBox="0 0 20 26" width="20" height="26" aria-hidden="true">
            <path d="M10 0 V9 C10 13 17 13 17 18 C17 23 8 24 6 18" />
          </svg>
          <span class="number">{{ hook }}</span>
          <SlabButton v-for="slab in pieces" :key="slab.id" :slab="slab" named />
        </li>
      </ul>
      <div v-for="{ shelf, pieces } in layout.shelves" :key="shelf" class="shelf" role="group" :aria-label="`Shelf ${shelf}`">
        <span class="number">{{ shelf }}</span>
        <SlabButton v-for="slab in pieces" :key="slab.id" :slab="slab" named />
      </div>
      <div class="floor">
        <VesselDrawing v-for="one in standing" :key="`${one.code} ${one.words}`" v-bind="one" />
      </div>
    </div>
  </details>
</template>

<style scoped>
.drawing {
  contain: layout style;
  margin: 0.2rem 0 0.6rem;
}
summary {
  cursor: pointer;
  color: var(--soft);
  min-height: 32px;
  display: list-item;
  align-content: center;
}
.rail {
  display: flex;
  flex-wrap: wrap;
  gap: 0 0.4rem;
  list-style: none;
  margin: 0;
  padding: 0;
}
.hook {
  border-top: 4px solid var(--peat);
  display: flex;
  flex-direction: column;
  align-items: center;
  min-width: 34px;
  margin: 0 0 0.5rem;
  padding: 0 2px;
}
.hook + .hook {
  margin-left: -0.4rem;
}
.hook svg {
  fill: none;
  stroke: var(--soft);
  stroke-width: 2.4;
}
.hook .slab {
  min-height: 72px;
}
.number {
  font-size: 0.78rem;
  color: var(--soft);
}
.shelf {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 0.25rem;
  min-height: 46px;
  border-bottom: 5px solid var(--hair-strong);
  padding: 0.2rem 0.3rem 0 1.6rem;
  position: relative;
  margin-bottom: 0.35rem;
}
.shelf .number {
  position: absolute;
  left: 0.3rem;
  bottom: 0.1rem;
}
.floor {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 0.9rem;
  align-items: flex-end;
  border-bottom: 2px solid var(--peat);
  padding: 0.3rem 0.3rem 0;
}
@media (--tablet) {
  summary {
    min-height: 56px;
  }
}
</style>
