import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { remindersOf, type Reminder } from '#core/today/reminders'
import { MS_PER_MINUTE } from '#core/units/quantities'
import { useClock } from '~/composables/use-clock'
import { useTasks } from '~/composables/use-tasks'
import { useFloor } from '~/stores/floor'

/** Another device may have told something meanwhile. */
const AGAIN_MS = 5 * MS_PER_MINUTE
const SEEN = 'veldmoor-reminded'
const QUIET = 'veldmoor-quiet'
const TONE = { hz: 880, seconds: 0.35, loud: 0.15 }

/** A short tone; a browser that nobody has touched yet gives none. */
function ring(): void {
  const audio = new AudioContext()
  const [tone, gain] = [audio.createOscillator(), audio.createGain()]
  tone.frequency.value = TONE.hz
  gain.gain.value = TONE.loud
  tone.connect(gain).connect(audio.destination)
  tone.start()
  tone.stop(audio.currentTime + TONE.seconds)
  tone.onended = () => void audio.close()
}

/** What to say on the page now, until somebody has seen it; with a tone, unless this device is to be quiet. */
export function useReminders() {
  const floor = useFloor()
  const nowMs = useClock()
  const seen = ref<string[]>(JSON.parse(sessionStorage.getItem(SEEN) ?? '[]') as string[])
  const quiet = ref(localStorage.getItem(QUIET) === '1')
  const tasks = useTasks()
  const reminders = computed(() => remindersOf(tasks.value, nowMs.value).filter(one => !seen.value.includes(one.key)))
  const keys = computed(() => reminders.value.map(one => one.key))
  watch(keys, (now, before) => {
    if (!quiet.value && now.some(key => !before.includes(key))) ring()
  })
  let timer: ReturnType<typeof setInterval> | undefined
  onMounted(() => {
    if (!floor.view) void floor.load()
    timer = setInterval(() => {
      if (document.visibilityState === 'visible') void floor.load()
    }, AGAIN_MS)
  })
  onBeforeUnmount(() => clearInterval(timer))
  return {
    reminders,
    quiet,
    see: ({ key }: Reminder) => {
      seen.value = [...seen.value, key].slice(-200)
      sessionStorage.setItem(SEEN, JSON.stringify(seen.value))
    },
    hush: () => {
      quiet.value = !quiet.value
      localStorage.setItem(QUIET, quiet.value ? '1' : '')
    },
  }
}
