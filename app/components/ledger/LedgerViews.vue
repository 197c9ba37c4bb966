<script setup lang="ts">
import { NuxtLink } from '#components'

/** The three things that a Ledger is: whose thread, which lots, and the book itself. */
const VIEWS = [
  { to: '/ledger', name: 'Thread' },
  { to: '/ledger/lots', name: 'Lots' },
  { to: '/ledger/book', name: 'The book' },
]
</script>

<template>
  <nav class="ledger-views no-print" aria-label="Views of the Ledger">
    <NuxtLink v-for="view in VIEWS" :key="view.to" :to="view.to" exact-active-class="here">{{ view.name }}</NuxtLink>
  </nav>
</template>

<style scoped>
.ledger-views {
  display: flex;
  gap: 0.2rem;
  border-bottom: 2px solid var(--peat);
}
a {
  display: inline-flex;
  align-items: center;
  min-height: 48px;
  padding: 0 1.1rem;
  color: var(--peat);
  font-weight: 600;
  text-decoration: none;
  border: 1px solid var(--hair-strong);
  border-bottom: 0;
}
a:hover {
  text-decoration: underline;
}
a.here {
  background: var(--peat);
  color: var(--bone);
  border-color: var(--peat);
}
</style>
