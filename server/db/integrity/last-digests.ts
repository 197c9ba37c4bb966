import { atKey } from '#core/lists/at-key'
import { closeSync, mkdtempSync, openSync, readSync, rmSync, writeSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { rowsIn } from '#core/book/touched'

const BLOCK = 4096
const BYTES = 16
const RECORD_BYTES = Int32Array.BYTES_PER_ELEMENT
const BLOCK_BYTES = BLOCK * (BYTES + RECORD_BYTES)
/** Blocks in memory, 80 kB each; what was not used for longest lies on the disk. */
const MOST_IN_MEMORY = 1000

interface Block {
  digests: Buffer
  records: Int32Array
}

/** A file without a name, gone when it is closed or the process ends. */
function nameless(): number {
  const folder = mkdtempSync(join(tmpdir(), 'veldmoor-walk-'))
  const file = openSync(join(folder, 'blocks'), 'w+')
  rmSync(folder, { recursive: true })
  return file
}

/**
 * The last digest that the book has of each row, and the record it stands in: 20 bytes a row, because a shop of ten
 * years has millions. Rows are written and walked much in order of their ids, so most blocks are put on the disk and
 * taken back once. To be closed.
 */
export class LastDigests {
  private readonly tables = new Map<string, Set<number>>()
  /** Digests in memory, by table and number, the one used last at the end. */
  private readonly blocks = new Map<string, Block>()
  private readonly places = new Map<string, number>()
  private file: number | null = null

  constructor(private readonly most = MOST_IN_MEMORY) {}

  /** Takes a record's rows over those of the records before it. */
  take(recordId: number, touched: string): void {
    for (const { table, id, digest } of rowsIn(touched)) {
      const number = Math.floor(id / BLOCK)
      const known = this.tables.get(table) ?? new Set<number>()
      this.tables.set(table, known)
      const block = known.has(number) ? this.block(table, number) : this.add(table, number)
      known.add(number)
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
    if (!this.tables.get(table)?.has(number)) return { fits: false, recordId: null }
    const block = this.block(table, number)
    const place = id - number * BLOCK
    const recordId = block.records[place]!
    if (recordId === 0) return { fits: false, recordId: null }
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
    for (const number of this.tables.get(table) ?? []) {
      for (const [place, recordId] of this.block(table, number).records.entries()) {
        if (recordId !== 0) yield { id: number * BLOCK + place, recordId }
      }
    }
  }

  close(): void {
    if (this.file !== null) closeSync(this.file)
    this.file = null
    this.blocks.clear()
    this.tables.clear()
  }

  private add(table: string, number: number): Block {
    const bytes = Buffer.alloc(BLOCK_BYTES)
    return this.keep(`${table} ${number}`, bytes)
  }

  private block(table: string, number: number): Block {
    const key = `${table} ${number}`
    const there = this.blocks.get(key)
    if (there) {
      this.blocks.delete(key)
      this.blocks.set(key, there)
      return there
    }
    const bytes = Buffer.alloc(BLOCK_BYTES)
    readSync(this.file!, bytes, 0, BLOCK_BYTES, atKey(this.places, key) * BLOCK_BYTES)
    return this.keep(key, bytes)
  }

  private keep(key: string, bytes: Buffer): Block {
    if (this.blocks.size >= this.most) this.putAside()
    const block = {
      digests: bytes.subarray(0, BLOCK * BYTES),
      records: new Int32Array(bytes.buffer, bytes.byteOffset + BLOCK * BYTES, BLOCK),
    }
    this.blocks.set(key, block)
    return block
  }

  /** The block not used for longest goes to its place in the file. */
  private putAside(): void {
    const [key, { digests, records }] = this.blocks.entries().next().value!
    this.file ??= nameless()
    const place = this.places.get(key) ?? this.places.size
    this.places.set(key, place)
    const at = place * BLOCK_BYTES
    writeSync(this.file, digests, 0, BLOCK * BYTES, at)
    writeSync(this.file, records, 0, BLOCK * RECORD_BYTES, at + BLOCK * BYTES)
    this.blocks.delete(key)
  }
}
