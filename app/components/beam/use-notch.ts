import { ref, type Ref } from 'vue'
import type { Ppm } from '#core/units/quantities'
import type { beamScale } from './beam-scale'

const STEPS: Record<string, Ppm> = {
  ArrowLeft: -1,
  ArrowDown: -1,
  ArrowRight: 1,
  ArrowUp: 1,
  PageDown: -5,
  PageUp: 5,
}

/** The target's notch on the beam, set by finger, mouse or keys, to whole ppm between nothing and the beam's end. */
export function useNotch(
  target: Ref<Ppm | null>,
  box: Ref<HTMLElement | null>,
  scale: Ref<ReturnType<typeof beamScale>>,
) {
  const dragging = ref(false)
  const set = (value: Ppm) => {
    target.value = Math.round(Math.min(Math.max(value, 0), scale.value.maxPpm))
  }
  function grab(event: PointerEvent): void {
    const notch = event.currentTarget as HTMLElement
    dragging.value = true
    notch.focus()
    notch.setPointerCapture(event.pointerId)
  }
  function drag(event: PointerEvent): void {
    if (dragging.value) set(scale.value.ppm(event.clientX - box.value!.getBoundingClientRect().left))
  }
  const drop = () => {
    dragging.value = false
  }
  function press(event: KeyboardEvent): void {
    const by = STEPS[event.key]
    if (by === undefined || target.value === null) return
    event.preventDefault()
    set(target.value + by)
  }
  return { grab, drag, drop, press }
}
