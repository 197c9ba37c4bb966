import type { Result } from '#core/result'
import type { TableOptions, TableReading } from '#core/readings/read-table'

/** What the page asks of the worker, and what it answers; the id tells answers apart. */
export interface ReadRequest {
  id: number
  file: Blob
  options: TableOptions
}
export interface ReadAnswer {
  id: number
  result: Result<TableReading[]>
}
