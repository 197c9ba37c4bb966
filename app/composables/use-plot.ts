import { onBeforeUnmount, onMounted, ref, watch, type Ref } from 'vue'

interface Figure {
  data: object[]
  layout: object
  config: object
}

/** A chart in an element, drawn again whenever what it shows changes; `failed` where it cannot be drawn. */
export function usePlot(root: Ref<HTMLElement | null>, figure: () => Figure | null, shows: () => unknown) {
  const failed = ref(false)
  async function draw(): Promise<void> {
    const drawn = root.value && figure()
    if (!drawn) return
    try {
      const plotly = await import('plotly.js-basic-dist-min')
      await plotly.react(root.value!, drawn.data, drawn.layout, drawn.config)
    }
    catch (error) {
      failed.value = true
      console.error(error)
    }
  }
  onMounted(draw)
  watch(shows, draw, { flush: 'post' })
  onBeforeUnmount(async () => {
    const element = root.value
    if (element) (await import('plotly.js-basic-dist-min')).purge(element)
  })
  return { failed, ink: (name: string) => getComputedStyle(root.value!).getPropertyValue(name).trim() }
}
