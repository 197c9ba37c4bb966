<script setup lang="ts">
import type { CalendarOpen } from '#shared/contracts/calendar'
import SaveProblem from '~/components/common/SaveProblem.vue'
import { useNotation } from '~/composables/use-notation'
import { useNotice } from '~/composables/use-notice'
import { useSave } from '~/composables/use-save'

/** Everybody's calendars that have an address: whoever has one reads the shop's work. The owner ends them. */
defineProps<{ calendars: CalendarOpen[] }>()
const emit = defineEmits<{ saved: [] }>()
const { moment } = useNotation()
const { say } = useNotice()
const { save, saving, message } = useSave()
async function end({ id, who }: CalendarOpen): Promise<void> {
  if (!(await save(`/api/office/calendars/${id}/end`, {}))) return
  say(`${who}'s calendar address opens nothing any more.`)
  emit('saved')
}
</script>

<template>
  <section v-if="calendars.length" class="stack-tight" aria-labelledby="calendars-head">
    <h2 id="calendars-head">Calendars with an address</h2>
    <div class="scroll-x" tabindex="0" role="group" aria-label="Calendars with an address, scroll sideways">
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Whose</th>
            <th scope="col">Since</th>
            <th scope="col">Last fetched</th>
            <th scope="col"><span class="visually-hidden">End it</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="link in calendars" :key="link.id">
            <td>{{ link.who }}</td>
            <td>{{ moment(link.atMs) }}</td>
            <td>{{ link.seenAtMs === null ? 'not yet' : moment(link.seenAtMs) }}</td>
            <td>
              <VBtn class="slim" variant="outlined" :loading="saving" :aria-label="`End ${link.who}'s calendar`" @click="end(link)">
                End it
              </VBtn>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <SaveProblem :message="message" />
  </section>
</template>
