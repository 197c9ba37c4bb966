import type { Readable } from 'node:stream'
import Assembler from 'stream-json/assembler.js'
import { parser, type Token } from 'stream-json/parser.js'

/** What an export is read as: its head, then row after row with the place it stands at. */
export type ExportPart = { head: Record<string, unknown> } | { table: string; index: number; row: unknown }

/** The file is no JSON. */
export class NotJson extends Error {}

const opens = (token: Token) => token.name === 'startObject' || token.name === 'startArray'
const closes = (token: Token) => token.name === 'endObject' || token.name === 'endArray'

async function* tokensOf(source: Readable): AsyncGenerator<Token> {
  const tokens = parser.asStream({ packValues: true, streamValues: false })
  source.on('error', error => tokens.destroy(error))
  try {
    for await (const token of source.pipe(tokens)) yield token as Token
  }
  catch (error) {
    throw (error as { code?: string }).code ? error : new NotJson((error as Error).message)
  }
  finally {
    source.destroy()
  }
}

/**
 * Reads an exported shop as it streams in, holding one row at a time however large the file is. What stands outside the
 * tables comes as the head, before the first row. Throws NotJson on what is none.
 */
export async function* readExport(source: Readable): AsyncGenerator<ExportPart> {
  let depth = 0
  const keys: string[] = []
  const head: Record<string, unknown> = {}
  let headTold = false
  let index = 0
  let value: InstanceType<typeof Assembler> | null = null
  for await (const token of tokensOf(source)) {
    // A value of the head (depth 1, not "tables"), or a row of a table (depth 3), is put together whole.
    const inTables = keys[0] === 'tables'
    const begins
      = value === null
        && ((depth === 1 && !inTables && token.name !== 'keyValue' && token.name !== 'endObject')
          || (depth === 3 && inTables && token.name !== 'endArray'))
    if (begins) value = new Assembler()
    value?.consume(token as never)
    if (opens(token)) depth += 1
    if (closes(token)) depth -= 1
    if (value?.done) {
      if (depth === 1) head[keys[0]!] = value.current
      else yield { table: keys[1]!, index: index++, row: value.current }
      value = null
    }
    else if (value === null && token.name === 'keyValue') {
      keys.length = depth - 1
      keys.push(String(token.value))
      index = 0
      if (depth === 1 && keys[0] === 'tables' && !headTold) {
        headTold = true
        yield { head }
      }
    }
  }
  if (!headTold) yield { head }
}
