import { onBeforeUnmount, onMounted, readonly, ref, type Ref } from 'vue'
import { useSession } from '~/stores/session'

const TICK_MS = 20_000
/** What opens later does not start from an old time. */
const STALE_MS = 1000

/** One clock for all that shows the time: what is worked out for an instant is worked out once. */
const nowMs = ref(Date.now())
let users = 0
let timer: ReturnType<typeof setInterval> | undefined

/** The shop's time now, ms, by the server's clock; ticks while something on the page asks for it. */
export function useClock(): Readonly<Ref<number>> {
  const session = useSession()
  const tick = () => {
    nowMs.value = Date.now() + session.clockOffsetMs
  }
  if (Math.abs(Date.now() + session.clockOffsetMs - nowMs.value) > STALE_MS) tick()
  onMounted(() => {
    users += 1
    timer ??= setInterval(tick, TICK_MS)
  })
  onBeforeUnmount(() => {
    users -= 1
    if (users > 0) return
    clearInterval(timer)
    timer = undefined
  })
  return readonly(nowMs)
}
