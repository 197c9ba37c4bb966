<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed, ref } from 'vue'
import { groupBy } from '#core/lists/group-by'
import { layoutOf } from '#core/places/layout'
import type { PlaceView } from '#shared/contracts/places'
import { isChosen, toggleChosen } from '~/composables/use-chosen'
import SlabButton from './SlabButton.vue'
import { placeWords, slabsOf, type Slab } from './slabs'
import type { Lying } from './lying'

/**
 * A place as it is: its hooks, its shelves, what stands there, each piece where it lies. A tap chooses a piece, a tap on a
 * tub all in it; the rows below do the rest. One stop for the tab key, arrows from piece to piece.
 */
const props = defineProps<{ place: PlaceView; lying: Lying }>()
const box = ref<HTMLElement | null>(null)
/** On a phone what is to be done comes first. */
const isWide = useMediaQuery('(min-width: 621px)')
const slabs = computed(() => slabsOf(props.lying))
const layout = computed(() => layoutOf(props.place, slabs.value))
const words = computed(() => placeWords(props.place, layout.value))
/** Bags of two lots may bear one name; what stands alone there says whose it is. */
const vessels = computed(() =>
  layout.value.vessels.flatMap(({ name, vessel, pieces }) =>
    [...groupBy(pieces, slab => slab.code).entries()].map(([code, ofLot]) => ({ name, vessel, code, pieces: ofLot })),
  ),
)
const loose = computed(() => [...groupBy(layout.value.loose, slab => slab.code).entries()])

const choose = (slab: Slab) => toggleChosen(slab.code, [slab.id])
const all = (code: string, pieces: readonly Slab[]) => toggleChosen(code, pieces.map(slab => slab.id))
const STEPS: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }
/** One of all buttons is a stop of the tab key: the one where it was last, else the first. */
function stopAt(event: FocusEvent): void {
  const buttons = [...box.value!.querySelectorAll('button')]
  for (const button of buttons) button.tabIndex = button === event.target ? 0 : -1
}
function walk(event: KeyboardEvent): void {
  const by = STEPS[event.key]
  if (by === undefined) return
  const buttons = [...box.value!.querySelectorAll('button')]
  const next = buttons[buttons.indexOf(event.target as HTMLButtonElement) + by]
  if (!next) return
  event.preventDefault()
  next.focus()
}
</script>

<template>
  <details class="drawing" :open="isWide">
    <summary class="small">As it lies: {{ words }}</summary>
    <div ref="box" role="group" :aria-label="`${place.name} as it lies: ${words}`" @focusin="stopAt" @keydown="walk">
      <ul v-if="layout.hooks.length" class="rail" aria-label="Hooks">
        <li v-for="{ hook, pieces } in layout.hooks" :key="hook" class="hook">
          <svg viewBox="0 0 20 26" width="20" height="26" aria-hidden="true">
            <path d="M10 0 V9 C10 13 17 13 17 18 C17 23 8 24 6 18" />
          </svg>
          <span class="number" :class="{ free: !pieces.length }">{{ hook }}</span>
          <SlabButton
            v-for="slab in pieces"
            :key="slab.id"
            v-bind="slab"
            :pressed="isChosen(slab.code, slab.id)"
            @click="choose(slab)"
          />
        </li>
      </ul>
      <div v-for="{ shelf, pieces } in layout.shelves" :key="shelf" class="shelf" role="group" :aria-label="`Shelf ${shelf}`">
        <span class="number">{{ shelf }}</span>
        <SlabButton
          v-for="slab in pieces"
          :key="slab.id"
          v-bind="slab"
          :pressed="isChosen(slab.code, slab.id)"
          @click="choose(slab)"
        />
      </div>
      <div class="floor">
        <div v-for="{ name, vessel, code, pieces } in vessels" :key="`${code} ${name}`" class="vessel" :class="vessel">
          <div class="in">
            <SlabButton
              v-for="slab in pieces"
              :key="slab.id"
              v-bind="{ ...slab, code: undefined }"
              :pressed="isChosen(slab.code, slab.id)"
              @click="choose(slab)"
            />
          </div>
          <button
            type="button"
            class="name"
            :aria-pressed="pieces.every(slab => isChosen(slab.code, slab.id))"
            @click="all(code, pieces)"
          >
            <span class="code">{{ code }}</span> {{ name }}
          </button>
        </div>
        <div v-for="[code, pieces] in loose" :key="code" class="vessel loose">
          <div class="in">
            <SlabButton
              v-for="slab in pieces"
              :key="slab.id"
              v-bind="{ ...slab, code: undefined }"
              :pressed="isChosen(slab.code, slab.id)"
              @click="choose(slab)"
            />
          </div>
          <button
            type="button"
            class="name"
            :aria-pressed="pieces.every(slab => isChosen(slab.code, slab.id))"
            @click="all(code, pieces)"
          >
            <span class="code">{{ code }}</span>
          </button>
        </div>
      </div>
    </div>
  </details>
</template>

<style scoped>
.drawing {
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
  position: relative;
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
.in {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem;
  padding: 0.3rem;
}
.tub .in,
.other .in {
  border: 3px solid var(--soft);
  border-top: 0;
  border-radius: 0 0 12px 12px;
}
.bag .in {
  border: 2px dashed var(--brine);
  border-radius: 40% 40% 14px 14px / 16px 16px 14px 14px;
}
.rack .in {
  border-bottom: 4px double var(--soft);
}
.stack .in {
  flex-direction: column-reverse;
  flex-wrap: nowrap;
  gap: 1px;
}
.stack .slab {
  min-width: 96px;
}
.name {
  display: flex;
  gap: 0.35rem;
  align-items: center;
  justify-content: center;
  width: 100%;
  border: 0;
  background: none;
  color: var(--soft);
  font: inherit;
  font-size: 0.84rem;
  min-height: 32px;
}
.name[aria-pressed='true'] {
  background: var(--heather);
  color: var(--bone);
}
@media (--tablet) {
  .name,
  summary {
    min-height: 56px;
  }
}
</style>
