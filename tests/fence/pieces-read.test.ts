import { readdirSync, readFileSync } from 'node:fs'
import { expect, it } from 'vitest'

/** Reads of pieces that add up or count: each says whether it means what was rubbed, or what is a piece now. */
const READS = /\btables\.pieces\s*\.\s*(find|pick|sum|totals|count)\(([^;]*?)(?:\)\s*[,;)\n]|$)/g
/** By the ids of pieces, or of what they were rubbed from, nothing counts twice. */
const BY_ID = /[{,] id[:, ]|meatPieceId: (ids|pieceId)/
const SAYS = /RUBBED|parentId|goneWhy|PIECE_STATE|PIECE_SHOWN/
/** Reads that want all rows, and why nothing of them is added up. */
const ALL_ROWS: Record<string, string> = {
  'server/services/judging/lot-facts.ts': 'told apart by leaves.ts',
  'server/services/voids/take-back.ts': 'all are voided with their lot',
  'server/services/ledger/lots-through.ts': 'only says which lots',
  'server/services/places/set-up-place.ts': 'only says whether something lies there',
  'server/services/places/look-at-unread.ts': 'only says where something lies',
  'server/services/steps/settle-steps.ts': 'only says which deliveries',
  'server/services/judging/judge-heated.ts': 'only says which runs',
  'server/services/views/meat-views.ts': 'by the meat piece, which no part has',
  'server/services/store/cut-meat.ts': 'by the meat piece, which no part has',
}

const files = readdirSync('server/services', { recursive: true, encoding: 'utf8' })
  .filter(file => file.endsWith('.ts') && !file.includes('.test.'))
  .map(file => `server/services/${file}`)

it('whoever adds up pieces says which: a part and what it was cut from are not both counted', () => {
  const loose = files.flatMap((file) => {
    const text = readFileSync(file, 'utf8')
    return [...text.matchAll(READS)]
      .filter(([, , asked]) => !SAYS.test(asked!) && !BY_ID.test(asked!))
      .filter(() => !(file in ALL_ROWS))
      .map(([read]) => `${file}: ${read}`)
  })
  expect(loose).toEqual([])
})
it('and those that read all rows still do', () => {
  for (const file of Object.keys(ALL_ROWS)) expect(readFileSync(file, 'utf8')).toMatch(/pieces\s*\.\s*(find|pick|sum|totals|count)\(/)
})
