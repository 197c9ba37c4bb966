<script setup lang="ts">
import { computed, ref } from 'vue'
import { mdiClockEditOutline } from '@mdi/js'
import { instantOf, localDay, localTime } from '#core/calendar/local-day'
import { correctionInput } from '#shared/contracts/corrections'
import type { EventView } from '#shared/contracts/events'
import { useNotation } from '~/composables/use-notation'
import DateField from './DateField.vue'
import ReasonDialog from './ReasonDialog.vue'

/** Another hour than was told: the press moves there, where nothing then contradicts itself. */
const props = defineProps<{ event: EventView<'step'> }>()
const emit = defineEmits<{ corrected: [] }>()
const { moment } = useNotation()
const date = ref('')
const time = ref('')
function begin(): void {
  const { happenedMs } = props.event.computed
  date.value = localDay(happenedMs, props.event.zone)
  time.value = localTime(happenedMs, props.event.zone)
}
const atMs = computed(() => {
  const typed = time.value.trim().replace('.', ':').padStart(5, '0')
  return date.value && /^([01]\d|2[0-3]):[0-5]\d$/.test(typed) ? instantOf(date.value, typed, props.event.zone) : null
})
</script>

<template>
  <ReasonDialog
    :title="`When was record ${event.id} done?`"
    verb="Correct it"
    why="Why"
    field="reason"
    value-first
    :contract="correctionInput"
    path="/api/corrections"
    :body="{ what: 'step_hour', id: event.id, value: atMs }"
    :said="`The hour of record ${event.id} is corrected; both are in the book.`"
    @begun="begin"
    @done="emit('corrected')"
  >
    <template #opener="{ begin: open }">
      <VBtn
        class="pencil"
        variant="text"
        size="small"
        :icon="mdiClockEditOutline"
        :aria-label="`Correct the hour of record ${event.id}`"
        @click="open"
      />
    </template>
    <template #default="{ errorAt }">
      <p>
        Told as <strong>{{ moment(event.computed.happenedMs) }}</strong>. It stays in the book beside the new hour.
      </p>
      <div class="pair">
        <DateField v-model="date" label="Day" />
        <VTextField
          v-model="time"
          label="Hour, 7:10"
          inputmode="numeric"
          autocomplete="off"
          :error-messages="errorAt('value')"
        />
      </div>
    </template>
  </ReasonDialog>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.6rem;
}
.pencil {
  color: var(--soft);
  margin: -9px 0;
}
.pencil:deep(.v-icon) {
  font-size: 18px;
}
</style>
