import { onScopeDispose, ref } from 'vue'
import type { LotNow } from '#shared/contracts/press-answer'
import { useFloor } from '~/stores/floor'

/** How long a row that goes elsewhere stays: nothing moves under a finger. */
const FINGER_OFF_MS = 3000

/** What was just done to a row that goes elsewhere with it: said where the finger is, and moved once it is off. */
export function useFingerOff() {
  const floor = useFloor()
  const done = ref<string | null>(null)
  let timer: ReturnType<typeof setTimeout> | undefined
  let waiting: LotNow[] = []
  function move(): void {
    clearTimeout(timer)
    floor.apply(waiting)
    waiting = []
    done.value = null
  }
  onScopeDispose(move)
  return {
    /** What was done; null: nothing waits. */
    done,
    stay(lots: LotNow[], words: string): void {
      waiting = lots
      done.value = words
      timer = setTimeout(move, FINGER_OFF_MS)
    },
  }
}
