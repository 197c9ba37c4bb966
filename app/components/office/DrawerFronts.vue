<script setup lang="ts">
import { computed, nextTick, watch } from 'vue'
import { NuxtLink } from '#components'
import { DRAWERS } from '~/logic/drawers'
import { useSession } from '~/stores/session'

/** The fronts of the Office's drawers; the one that is open stands out, and the others keep only their names. */
const props = defineProps<{ open: string | null }>()
const session = useSession()
const shared = computed(() => session.view?.station?.shared ?? false)
// The fronts stand in a row on a phone that is longer than the page.
watch(
  () => props.open,
  async () => {
    await nextTick()
    document.querySelector('[aria-label^="Drawers"] [aria-current]')?.scrollIntoView({ block: 'nearest', inline: 'center' })
  },
  { immediate: true },
)
const fronts = computed(() => DRAWERS.filter(drawer => !drawer.own || !shared.value))
</script>

<template>
  <nav :class="{ narrow: open }" aria-label="Drawers of the Office">
    <ul>
      <li v-for="front in fronts" :key="front.to">
        <NuxtLink :to="front.to" :aria-current="front.to === open ? 'page' : undefined">
          <span class="plate">{{ front.name }}</span>
          <span v-if="!open" class="holds">{{ front.holds }}</span>
        </NuxtLink>
      </li>
    </ul>
  </nav>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  border: 2.5px solid var(--peat);
}
li {
  display: flex;
  border: 1.25px solid var(--peat);
}
/* The last of an odd number goes from side to side. */
li:last-child:nth-child(odd) {
  grid-column: 1 / -1;
}
a {
  flex: 1;
  position: relative;
  display: grid;
  align-content: center;
  justify-items: start;
  gap: 0.35rem;
  min-height: 7rem;
  padding: 0.9rem 4.2rem 0.9rem 1.1rem;
  text-decoration: none;
}
/* The drawer's pull. */
a::after {
  content: '';
  position: absolute;
  right: 1.2rem;
  top: calc(50% - 0.35rem);
  width: 1.9rem;
  height: 0.75rem;
  border: 2.5px solid var(--peat);
  border-top: 0;
  border-radius: 0 0 1rem 1rem;
}
.plate {
  border: 1.5px solid var(--hair-strong);
  background: var(--sheet);
  padding: 0.1rem 0.55rem;
  font: 600 1.05rem/1.4 var(--slab);
  white-space: nowrap;
}
.holds {
  color: var(--soft);
  font-size: 0.92rem;
}
a:hover {
  background: var(--sheet);
}
a:focus-visible {
  outline-offset: -5px;
}
a[aria-current] {
  background: var(--peat);
}
a[aria-current]::after {
  border-color: var(--bone);
}
.narrow ul {
  grid-template-columns: minmax(0, 1fr);
}
.narrow a {
  min-height: 56px;
  padding: 0.45rem 3.2rem 0.45rem 0.6rem;
}
.narrow a::after {
  right: 0.8rem;
}
@media (--tablet) {
  .narrow ul {
    display: flex;
    overflow-x: auto;
    scrollbar-width: none;
  }
  .narrow li {
    flex: 1 0 auto;
  }
  .narrow a {
    padding: 0.45rem 0.7rem;
  }
  .narrow a::after {
    display: none;
  }
}
@media (--phone) {
  ul {
    grid-template-columns: minmax(0, 1fr);
  }
  a {
    min-height: 5rem;
  }
}
</style>
