import { onBeforeUnmount, ref, watch, type Ref } from 'vue'

const LEAST_PX = 120

/** The width of an element as it changes, px; the element may come and go. */
export function useWidth(element: Ref<HTMLElement | null>, start = 600): Ref<number> {
  const width = ref(start)
  const watcher = new ResizeObserver(([entry]) => {
    width.value = Math.max(LEAST_PX, Math.floor(entry!.contentRect.width))
  })
  watch(
    element,
    (now, before) => {
      if (before) watcher.unobserve(before)
      if (now) watcher.observe(now)
    },
    { immediate: true, flush: 'post' },
  )
  onBeforeUnmount(() => watcher.disconnect())
  return width
}
