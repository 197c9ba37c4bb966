<script setup lang="ts">
import { computed, ref } from 'vue'
import { mdiClockEditOutline } from '@mdi/js'
import { instantOf, localDay, localTime } from '#core/calendar/local-day'
import type { EventView } from '#shared/contracts/events'
import { useNotation } from '~/composables/use-notation'
import CorrectDialog from './CorrectDialog.vue'
import DateField from './DateField.vue'

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
  <CorrectDialog
    :title="`When was record ${event.id} done?`"
    :label="`Correct the hour of record ${event.id}`"
    :icon="mdiClockEditOutline"
    :body="{ what: 'step_hour', id: event.id, value: atMs }"
    :said="`The hour of record ${event.id} is corrected; both are in the book.`"
    @begun="begin"
    @corrected="emit('corrected')"
  >
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
  </CorrectDialog>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.6rem;
}
</style>
