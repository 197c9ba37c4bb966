<script setup lang="ts">
import { mdiBell, mdiBellOff, mdiCheck } from '@mdi/js'
import { NuxtLink } from '#components'
import { useNotation } from '~/composables/use-notation'
import { useReminders } from '~/composables/use-reminders'
import { whyWords } from '~/words/due-words'
import { taskWords, WHERE } from '~/words/task-words'

/** What has just become due, said over whatever room is open, until somebody has seen it. */
const { reminders, quiet, see, hush } = useReminders()
const { as, clock } = useNotation()
</script>

<template>
  <section v-if="reminders.length" class="reminders no-print" aria-label="Just now" role="alert">
    <ul>
      <li v-for="one in reminders" :key="one.key">
        <NuxtLink :to="WHERE[one.task.kind].to(one.task.subject)" @click="see(one)">
          <strong>{{ one.task.subject }}: {{ taskWords(one.task, as) }}</strong>
          <span class="small">{{ clock(one.atMs) }}{{ one.task.because ? `, ${whyWords(one.task.because, as)}` : '' }}</span>
        </NuxtLink>
        <VBtn variant="text" :prepend-icon="mdiCheck" :aria-label="`Seen: ${one.task.subject}`" @click="see(one)">Seen</VBtn>
      </li>
    </ul>
    <VBtn
      variant="text"
      :icon="quiet ? mdiBellOff : mdiBell"
      :aria-label="quiet ? 'With a tone again' : 'Without a tone on this device'"
      :aria-pressed="quiet"
      @click="hush"
    />
  </section>
</template>

<style scoped>
.reminders {
  display: flex;
  align-items: start;
  justify-content: space-between;
  gap: 0.6rem;
  background: var(--straw-wash);
  color: var(--peat);
  border-bottom: 2px solid var(--peat);
  padding: 0.2rem 1.5rem;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  flex: 1;
  /* Side by side where there is room: the room below stays in sight. */
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(22rem, 100%), 1fr));
  column-gap: 1.5rem;
  max-height: 7.6rem;
  overflow-y: auto;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 0.6rem;
}
a {
  display: flex;
  flex-wrap: wrap;
  gap: 0.1rem 0.8rem;
  align-items: center;
  min-height: 56px;
  color: inherit;
}
.v-btn {
  min-height: 56px;
  min-width: 56px;
}
@media (--phone) {
  .reminders {
    padding: 0.2rem 0.9rem;
  }
  /* Half of the third shows that there are more. */
  ul {
    max-height: 9.4rem;
  }
}
</style>
