import Papa from 'papaparse'
import { fail } from '#core/result'
import { readTable } from '#core/readings/read-table'
import type { ReadAnswer, ReadRequest } from './readings.protocol'

const LARGEST_BYTES = 20_000_000

async function answer({ id, file, options }: ReadRequest): Promise<ReadAnswer> {
  if (file.size > LARGEST_BYTES) return { id, result: fail('csv_too_large', { mostBytes: LARGEST_BYTES }) }
  const { data } = Papa.parse<string[]>(await file.text(), { skipEmptyLines: false })
  return { id, result: readTable(data, options) }
}

self.onmessage = async (message: MessageEvent<ReadRequest>) => self.postMessage(await answer(message.data))
