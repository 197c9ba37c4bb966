import { atKey } from '#core/lists/at-key'
import type { Milliseconds } from '#core/units/quantities'
import type { lotListQuery, LotList, LotRow } from '#shared/contracts/lots'
import { LOT_ROW, LOTS_PAGE } from '#shared/contracts/lots'
import type { z } from 'zod'
import { CUTS } from '#core/rules/cuts'
import type { Tables } from '../../db/database'
import type { WhereOf } from '../../db/schema/table-spec'
import type { lots as lotsTable } from '../../db/tables/lots'
import { RUBBED } from '../../db/tables/which-pieces'
import { below, startsWith } from '../../db/schema/where'
import { brief, LOT_SHOWN, lotSummaries, type LotShown } from './lot-summaries'

/** What is looked for, as a filter: a day, a cut, or the first letters of a code. */
function matching(find: string | undefined): WhereOf<typeof lotsTable> {
  if (!find) return {}
  if (/^\d{4}-\d{2}-\d{2}$/.test(find)) return { rubbedOn: find }
  const cut = CUTS.find(one => one === find.toLowerCase())
  if (cut) return { cut }
  const digits = /^l?-?0*(\d+)$/i.exec(find)?.[1]
  if (digits) return { code: `L-${digits.padStart(4, '0')}` }
  // Only the letters of a code go into a pattern: signs that stand for any others are looked for as they are.
  return { code: /^[a-z]-?$/i.test(find) ? startsWith(find.toUpperCase()) : find }
}

/** Lots that nothing waits for any more, as a list shows them. */
async function finishedRows(tables: Tables, rows: readonly LotShown[]): Promise<LotRow[]> {
  const lotId = rows.map(row => row.id)
  if (lotId.length === 0) return []
  const [green, packs, destroyed] = await Promise.all([
    tables.pieces.totals('lotId', { sum: ['greenG'], where: { lotId, ...RUBBED } }),
    tables.packs.totals('lotId', { sum: ['netG'], where: { lotId } }),
    tables.holds.pick(['lotId', 'reason'], { lotId, disposition: 'destroy' }),
  ])
  return rows.map(row => ({
    code: row.code,
    cut: row.cut,
    rind: row.rind,
    rubbedOn: row.rubbedOn,
    judgement: brief(row.judgement),
    cureEndedAtMs: row.cureEndedAtMs,
    readyG: row.readyG,
    leftG: 0,
    unsliced: 0,
    runs: [],
    unsent: 0,
    greenG: green.get(row.id)?.sum.greenG ?? 0,
    packs: packs.get(row.id)?.count ?? 0,
    packsG: packs.get(row.id)?.sum.netG ?? 0,
    openHolds: destroyed.filter(hold => hold.lotId === row.id).map(hold => hold.reason),
  }))
}

/** A page of lots, newest first. */
export async function lotList(
  tables: Tables,
  { before, find, open }: z.output<typeof lotListQuery>,
  nowMs: Milliseconds,
): Promise<LotList> {
  const [from] = before === undefined ? [] : await tables.lots.pick([], { code: before }, { withVoided: true })
  const where = {
    ...matching(find),
    ...(open ? { finishedAtMs: null } : {}),
    ...(from ? { id: below(from.id) } : {}),
  }
  const found = await tables.lots.pick([...LOT_SHOWN, 'finishedAtMs'], where, { order: [['id', 'DESC']], limit: LOTS_PAGE + 1 })
  const shown = found.slice(0, LOTS_PAGE)
  const [unfinished, finished] = await Promise.all([
    lotSummaries(
      tables,
      shown.filter(row => row.finishedAtMs === null),
      nowMs,
    ),
    finishedRows(
      tables,
      shown.filter(row => row.finishedAtMs !== null),
    ),
  ])
  const byCode = new Map([...finished, ...unfinished.map(briefly)].map(row => [row.code, row]))
  return { rows: shown.map(row => atKey(byCode, row.code)), more: found.length > LOTS_PAGE }
}

const briefly = (lot: LotRow): LotRow => Object.fromEntries(LOT_ROW.map(key => [key, lot[key]])) as unknown as LotRow
