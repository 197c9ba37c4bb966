<script setup lang="ts">
import { computed, ref } from 'vue'
import { emptyInput } from '#shared/contracts/lots'
import type { CalendarLink } from '#shared/contracts/calendar'
import LoadProblem from '~/components/common/LoadProblem.vue'
import SaveProblem from '~/components/common/SaveProblem.vue'
import StateMark from '~/components/common/StateMark.vue'
import { useLoaded } from '~/api/use-loaded'
import { useNotation } from '~/composables/use-notation'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'

/** The shop's work in one's own calendar, by an address that is said once. */
const { moment } = useNotation()
const { say } = useNotice()
const { view, problem, load } = useLoaded<{ link: CalendarLink | null }>('/api/me/calendar')
const begin = useSave<{ path: string }>(emptyInput)
const end = useSave(emptyInput)
const address = ref('')
const link = computed(() => view.value?.link ?? null)
async function make(): Promise<void> {
  const made = await begin.save('/api/me/calendar', {})
  if (!made) return
  address.value = new URL(made.path, window.location.origin).href
  await load()
}
async function stop(): Promise<void> {
  if (!(await end.save('/api/me/calendar/end', {}))) return
  address.value = ''
  say('The address opens nothing any more.')
  await load()
}
</script>

<template>
  <section class="stack-tight" aria-labelledby="calendar-head">
    <h2 id="calendar-head">My calendar</h2>
    <LoadProblem v-if="problem" :problem="problem" @again="load" />
    <p class="row">
      <StateMark :tone="link ? 'good' : 'plain'">{{ link ? 'linked' : 'not linked' }}</StateMark>
      <span>Turns, looks, ends of cure and what comes after, three weeks ahead, with reminders, in any calendar that
        takes an address. No ppm, no customers.</span>
    </p>
    <p v-if="link" class="small soft">
      Made {{ moment(link.atMs) }}, {{ link.seenAtMs === null ? 'not fetched yet' : `last fetched ${moment(link.seenAtMs)}` }}.
    </p>
    <div v-if="address" class="caution stack-tight" role="status">
      <p><strong>Copy it now.</strong> Whoever has it reads your work; it is not shown again.</p>
      <p class="code address">{{ address }}</p>
      <div><VBtn variant="outlined" @click="address = ''">It is copied</VBtn></div>
    </div>
    <SaveProblem :message="begin.message.value || end.message.value" />
    <div class="row">
      <VBtn variant="outlined" :loading="begin.saving.value" @click="make">
        {{ link ? 'A new address, the old one ends' : 'Make an address' }}
      </VBtn>
      <VBtn v-if="link" variant="text" :loading="end.saving.value" @click="stop">End it</VBtn>
    </div>
  </section>
</template>

<style scoped>
.address {
  white-space: normal;
  overflow-wrap: anywhere;
  user-select: all;
}
</style>
