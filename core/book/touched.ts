/** Digests of rows by table and id. */
export type RowDigests = ReadonlyMap<string, ReadonlyMap<number, string>>

/** Base64 digits of a digest: 132 bits of a SHA-256, enough that no other row is found for it. */
export const DIGEST_LENGTH = 22
/**
 * Rows that a record wrote, as text for its hash: by table, runs of ids that follow each other as `[first, digest,
 * digest, …]`. Tables and ids in order, so that the same rows give the same text.
 */
export function touchedText(rows: RowDigests): string {
  const tables = [...rows].filter(([, digests]) => digests.size > 0).toSorted(([a], [b]) => (a < b ? -1 : 1))
  return JSON.stringify(
    Object.fromEntries(
      tables.map(([table, digests]) => {
        const runs: [number, ...string[]][] = []
        let next = Number.NaN
        for (const [id, digest] of [...digests].toSorted(([a], [b]) => a - b)) {
          if (id === next) runs.at(-1)!.push(digest)
          else runs.push([id, digest])
          next = id + 1
        }
        return [table, runs]
      }),
    ),
  )
}

/** The rows of such a text, one by one. Throws on what is not one: it stands inside a hash that fits. */
export function* rowsIn(text: string): Generator<{ table: string; id: number; digest: string }> {
  for (const [table, runs] of Object.entries(JSON.parse(text) as Record<string, [number, ...string[]][]>)) {
    for (const [first, ...digests] of runs) {
      for (const [i, digest] of digests.entries()) yield { table, id: first + i, digest }
    }
  }
}
