<script setup lang="ts">
import { computed, ref } from 'vue'
import { instantOf, localDay } from '#core/calendar/local-day'
import { lateChips, type LateChip } from '#core/life/late-chips'
import { LATE_REASON_MS } from '#core/rules/house'
import type { Milliseconds } from '#core/units/quantities'
import DateField from '~/components/common/DateField.vue'
import { useSession } from '~/stores/session'
import ChipStep from './ChipStep.vue'
import type { PressWhen } from '~/logic/press'

/** When was it done? For what is told late. */
const props = defineProps<{
  /** "Turned: ", or nothing. */
  what: string
  nowMs: Milliseconds
}>()
const emit = defineEmits<{ choose: [when: PressWhen, words: string]; close: [] }>()
const session = useSession()

const WORDS = { this_morning: 'This morning', last_evening: 'Last evening' } as const
const wordsOf = (chip: LateChip) => (chip.said === 'ago' ? `${chip.minutes === 60 ? '1 h' : `${chip.minutes} min`} ago` : WORDS[chip.said])
const chips = computed(() => lateChips(props.nowMs, session.zone))
const choices = computed(() => [
  ...chips.value.map(chip => ({ value: wordsOf(chip), words: wordsOf(chip) })),
  { value: 'other', words: 'Another time…' },
])

const typing = ref(false)
const date = ref(localDay(props.nowMs, session.zone))
const time = ref('')
const reason = ref('')
const atMs = computed(() =>
  /^\d{1,2}[:.]\d{2}$/.test(time.value.trim()) && date.value
    ? instantOf(date.value, time.value.trim().replace('.', ':').padStart(5, '0'), session.zone)
    : null,
)
const needsReason = computed(() => atMs.value !== null && props.nowMs - atMs.value > LATE_REASON_MS)

function choose(value: string): void {
  const chip = chips.value.find(one => wordsOf(one) === value)
  if (!chip) {
    typing.value = true
    return
  }
  const words = wordsOf(chip)
  const when = chip.said === 'ago' ? { told: 'ago' as const, minutes: chip.minutes } : { told: 'at' as const, atMs: chip.atMs, said: words }
  const late = chip.said !== 'ago' && props.nowMs - chip.atMs > LATE_REASON_MS
  emit('choose', { when, lateReason: late ? words : null }, words.toLowerCase())
}
function typed(): void {
  if (atMs.value === null) return
  const said = `${date.value} ${time.value.trim()}`
  emit('choose', { when: { told: 'at', atMs: atMs.value, said }, lateReason: reason.value.trim() || null }, said)
}
</script>

<template>
  <ChipStep
    :label="what ? `${what}when was it?` : 'When was it?'"
    :choices="choices"
    :saving="false"
    @choose="choose"
    @close="emit('close')"
  >
    <form v-if="typing" class="other" @submit.prevent="typed">
      <DateField v-model="date" label="Day" />
      <VTextField v-model="time" label="Hour, 7:10" inputmode="numeric" autofocus autocomplete="off" />
      <VTextField v-if="needsReason" v-model="reason" class="why" label="Why so late?" />
      <VBtn type="submit" color="primary" :disabled="atMs === null || (needsReason && reason.trim().length < 3)">
        Go on
      </VBtn>
    </form>
  </ChipStep>
</template>

<style scoped>
.other {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 0.4rem;
  align-items: start;
}
.why {
  grid-column: 1 / -1;
}
</style>
