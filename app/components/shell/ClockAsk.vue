<script setup lang="ts">
import { computed } from 'vue'
import { localDay } from '#core/calendar/local-day'
import { problemWords } from '~/api/client'
import { useClockQuestion } from '~/stores/clock-question'
import { useSession } from '~/stores/session'

/** A record waits: the clock jumped by more than a day, and only a person knows whether that is so. */
const session = useSession()
const clock = useClockQuestion()
const params = computed(() => clock.asking?.errors?.[0]?.params)
const day = computed(() => (params.value ? localDay(Number(params.value.nowMs), String(params.value.zone)) : null))
</script>

<template>
  <VDialog
    :model-value="clock.asking !== null"
    aria-labelledby="clock-head"
    max-width="520"
    @update:model-value="clock.answer(null)"
  >
    <div v-if="clock.asking" class="ask stack">
      <h2 id="clock-head">Is the clock right?</h2>
      <p>{{ problemWords(clock.asking, session.notation) }}</p>
      <p class="soft">
        Every record carries its date for good. Nothing is recorded until you say so; what you typed is kept.
      </p>
      <VBtn color="primary" block @click="clock.answer(day)">Yes, that is the day and hour now</VBtn>
      <VBtn variant="text" block @click="clock.answer(null)">No, leave it; nothing is lost</VBtn>
    </div>
  </VDialog>
</template>

<style scoped>
.ask {
  background: var(--bone);
  color: var(--peat);
  padding: 1.3rem;
}
</style>
