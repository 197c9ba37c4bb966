import { rowsIn } from '#core/book/touched'

const BLOCK = 4096
const BYTES = 16

interface Block {
  digests: Buffer
  records: Int32Array
}

/**
 * The last digest that the book has of each row, and the record it stands in: 20 bytes a row, because a shop of ten
 * years has millions.
 */
export class LastDigests {
  private readonly tables = new Map<string, Map<number, Block>>()

  /** Takes a record's rows over those of the records before it. */
  take(recordId: number, touched: string): void {
    for (const { table, id, digest } of rowsIn(touched)) {
      const blocks = this.tables.get(table) ?? new Map<number, Block>()
      this.tables.set(table, blocks)
      const number = Math.floor(id / BLOCK)
      const block = blocks.get(number) ?? { digests: Buffer.alloc(BLOCK * BYTES), records: new Int32Array(BLOCK) }
      blocks.set(number, block)
      const place = id - number * BLOCK
      block.digests.write(digest, place * BYTES, BYTES, 'base64')
      block.records[place] = recordId
    }
  }

  /** True when no record carries any: the book is from before there were digests. */
  get isEmpty(): boolean {
    return this.tables.size === 0
  }

  /** Holds a row against the book, and ticks it off. */
  check(table: string, id: number, digest: string): { fits: boolean; recordId: number | null } {
    const number = Math.floor(id / BLOCK)
    const block = this.tables.get(table)?.get(number)
    const place = id - number * BLOCK
    const recordId = block?.records[place] ?? 0
    if (!block || recordId === 0) return { fits: false, recordId: null }
    block.records[place] = 0
    return {
      fits: block.digests
        .subarray(place * BYTES, (place + 1) * BYTES)
        .equals(Buffer.from(digest, 'base64').subarray(0, BYTES)),
      recordId,
    }
  }

  /** What was not ticked off: rows that the book knows and the table does not have. */
  * left(table: string): Generator<{ id: number; recordId: number }> {
    for (const [number, block] of this.tables.get(table) ?? []) {
      for (const [place, recordId] of block.records.entries()) {
        if (recordId !== 0) yield { id: number * BLOCK + place, recordId }
      }
    }
  }
}
