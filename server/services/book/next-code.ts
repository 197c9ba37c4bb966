import { makeCode, type CodedKind } from '#core/trace/code'
import type { Tables } from '../../db/database'

/** The next code of a kind. The counter's row stays locked until the transaction ends: no code is given twice. */
export async function nextCodes(tables: Tables, kind: CodedKind, count: number): Promise<string[]> {
  const counter = await tables.codeCounters.one({ kind }, { lock: true })
  if (!counter) throw new Error(`no counter for ${kind}`)
  await tables.codeCounters.update(counter.id, { last: counter.last + count })
  return Array.from({ length: count }, (_, i) => makeCode(kind, counter.last + 1 + i))
}

export const nextCode = async (tables: Tables, kind: CodedKind): Promise<string> =>
  (await nextCodes(tables, kind, 1))[0]!
