import { RISE_RANK } from '#core/smoke/come-up'
import { atKey } from '#core/lists/at-key'
import { type Milliseconds, MS_PER_HOUR } from '#core/units/quantities'
import { leastOf } from '#core/retained/lot-stayed'
import type { Judgement } from '#shared/contracts/judgement'
import { isLate, isNotShown } from '#core/cooling/cooling'
import type { RunReadingView, RunView } from '#shared/contracts/smoke'
import type { Tables } from '../../db/database'
import { eventsAbout } from './event-views'
import { refuse, type Answer } from '../context'
import { loadMarks } from '../instruments/marks'
import { theShop } from '../shop/shop-facts'
import { lotsOfRun } from '../judging/check-run'
import { judgeLotHeats } from '../judging/heat-groups'
import { readingsPage, runLine } from '../judging/run-readings'

/** What a lot's heats say of this one; of several groups of pieces the worse. */
async function judgedOf(tables: Tables, lot: Parameters<typeof judgeLotHeats>[1], code: string, nowMs: Milliseconds) {
  const groups = (await judgeLotHeats(tables, lot, nowMs)).map(group => group.judged)
  const worst = <T>(found: T[], rank: (one: T) => number): T | null =>
    found.toSorted((a, b) => rank(b) - rank(a))[0] ?? null
  return {
    rise: worst(
      groups.flatMap(group => group.comeUps.filter(one => one.code === code)),
      one => RISE_RANK[one.status],
    ),
    cooling: worst(
      groups.flatMap(group => group.coolings.filter(one => one.code === code)),
      one => (isLate(one.status) ? 3 : isNotShown(one.status) ? 2 : one.status === 'in_time' ? 0 : 1),
    ),
    cold: groups[0]?.cold ?? null,
  }
}

/** What decides how a lot's pieces here cool, and why it is not known. */
function leastIn({ judgement }: { judgement: Judgement }, pieces: readonly { id: number }[]) {
  const leastPpm = leastOf(judgement, pieces.map(piece => piece.id))
  return { leastPpm, leastWhy: leastPpm === null ? (judgement.stayed?.why ?? null) : null }
}

/** One smoke with its readings and the lots in it. */
export async function runView(tables: Tables, code: string, nowMs: Milliseconds): Promise<Answer<RunView>> {
  const run = await tables.runs.one({ code })
  if (!run) return refuse('no_such_run', { code })
  const [{ pieces, lots }, line, users, events, shop] = await Promise.all([
    lotsOfRun({ tables }, run.id),
    runLine(tables, run),
    tables.users.pick(['name']),
    eventsAbout(tables, code),
    theShop(tables),
  ])
  const markAt = await loadMarks(tables, run.startedAtMs - MS_PER_HOUR)
  const judged = new Map(
    await Promise.all(lots.map(async lot => [lot.id, await judgedOf(tables, lot, code, nowMs)] as const)),
  )
  const holds = await tables.holds.find({ lotId: lots.map(lot => lot.id), disposition: null })
  const nameOf = (id: number | null) => users.find(user => user.id === id)?.name ?? null
  return {
    ok: true,
    value: {
      ruleSetId: shop.ruleSetId,
      code,
      smoker: run.smoker,
      targetCoreC: run.targetCoreC,
      startedAtMs: run.startedAtMs,
      pulledAtMs: run.pulledAtMs,
      outcome: run.outcome,
      startedBy: nameOf(run.startedById)!,
      pulledBy: nameOf(run.pulledById),
      zone: shop.zone,
      lots: lots.map(lot => ({
        code: lot.code,
        cut: lot.cut,
        saltOnly: lot.saltOnly,
        ppm: lot.judgement.lot?.ppm ?? null,
        ...leastIn(lot, pieces.filter(piece => piece.lotId === lot.id)),
        ...atKey(judged, lot.id),
        pieces: pieces.filter(piece => piece.lotId === lot.id).map(piece => piece.number),
        held: holds.some(hold => hold.lotId === lot.id),
      })),
      readings: await readingsPage(tables, run, markAt, 0),
      readingCount: line.count,
      points: line.points,
      figures: line.figures,
      events,
      nowMs,
    },
  }
}

/** A page of a smoke's readings, exactly as they were taken. */
export async function olderReadings(tables: Tables, code: string, skip: number): Promise<Answer<RunReadingView[]>> {
  const run = await tables.runs.one({ code })
  if (!run) return refuse('no_such_run', { code })
  return {
    ok: true,
    value: await readingsPage(tables, run, await loadMarks(tables, run.startedAtMs - MS_PER_HOUR), skip),
  }
}
