import { onBeforeUnmount, onMounted, ref, type Ref } from 'vue'
import { useSession } from '~/stores/session'

const TICK_MS = 20_000

/** The shop's time now, ms, by the server's clock; ticks. */
export function useClock(): Ref<number> {
  const session = useSession()
  const nowMs = ref(Date.now() + session.clockOffsetMs)
  let timer: ReturnType<typeof setInterval> | undefined
  onMounted(() => {
    timer = setInterval(() => {
      nowMs.value = Date.now() + session.clockOffsetMs
    }, TICK_MS)
  })
  onBeforeUnmount(() => clearInterval(timer))
  return nowMs
}
