import { onBeforeUnmount, ref } from 'vue'
import type { Result } from '#core/result'
import type { TableOptions, TableReading } from '#core/readings/read-table'
import type { ReadAnswer } from '~/workers/readings.protocol'

/** Reads a logger's file in a worker, so that a large one does not freeze the page. */
export function useReadingsFile() {
  const busy = ref(false)
  let worker: Worker | null = null
  let nextId = 1

  function read(file: Blob, options: TableOptions): Promise<Result<TableReading[]>> {
    worker ??= new Worker(new URL('../workers/readings.worker.ts', import.meta.url), { type: 'module' })
    const id = nextId++
    busy.value = true
    return new Promise((resolve, reject) => {
      worker!.onmessage = (message: MessageEvent<ReadAnswer>) => {
        if (message.data.id !== id) return
        busy.value = false
        resolve(message.data.result)
      }
      worker!.onerror = (error) => {
        busy.value = false
        reject(new Error(error.message))
      }
      worker!.postMessage({ id, file, options })
    })
  }
  onBeforeUnmount(() => worker?.terminate())
  return { read, busy }
}
