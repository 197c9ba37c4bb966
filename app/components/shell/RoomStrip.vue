<script setup lang="ts">
import { computed, nextTick, watch } from 'vue'
import { useRoute } from '#imports'
import { NuxtLink } from '#components'
import { ROOMS } from '~/logic/rooms'

/** The shop's floor plan: rooms in a row, a door between each two that meat passes through. */
const route = useRoute()
const here = computed(() => {
  if (route.path.startsWith('/runs')) return '/smokehouse'
  return ROOMS.find(room => room.to === route.path || (room.to !== '/' && route.path.startsWith(room.to)))?.to
})
watch(
  here,
  async () => {
    await nextTick()
    document.querySelector('.room-strip [aria-current]')?.scrollIntoView({ block: 'nearest', inline: 'center' })
  },
  { immediate: true },
)
</script>

<template>
  <nav class="room-strip" aria-label="Rooms">
    <ol>
      <li v-for="room in ROOMS" :key="room.to">
        <NuxtLink :to="room.to" :aria-current="room.to === here ? 'page' : undefined">{{ room.name }}</NuxtLink>
      </li>
    </ol>
  </nav>
</template>

<style scoped>
.room-strip {
  max-width: 1320px;
  margin: 0 auto;
  padding: 0 1.5rem;
  overflow-x: auto;
  scrollbar-width: none;
}
ol {
  display: flex;
  list-style: none;
  margin: 0;
  padding: 0;
  border: 2.5px solid var(--peat);
  min-width: max-content;
}
li {
  flex: 1 1 auto;
  position: relative;
  display: flex;
}
/* A wall, with a door left open in its middle. */
li + li::before {
  content: '';
  position: absolute;
  left: -1.25px;
  top: 0;
  bottom: 0;
  width: 2.5px;
  background: linear-gradient(var(--peat) 0 30%, transparent 30% 70%, var(--peat) 70%);
}
a {
  flex: 1;
  display: grid;
  place-items: center;
  min-height: 48px;
  padding: 0 0.95rem;
  text-decoration: none;
  font-weight: 600;
  white-space: nowrap;
}
a:hover {
  background: var(--sheet);
}
a[aria-current] {
  background: var(--peat);
  color: var(--bone);
}
a:focus-visible {
  outline-offset: -4px;
}
@media (--tablet) {
  .room-strip {
    padding: 0 0.9rem;
  }
  a {
    min-height: 56px;
    padding: 0 0.52rem;
    font-size: 0.9rem;
  }
}
@media (--narrow) {
  a {
    padding: 0 1.05rem;
    font-size: 1rem;
  }
}
</style>
