import { worstCaseG } from '#core/cure/ppm-interval'
import { weighingShows } from '#core/retained/weighing-shows'
import { CURED_COOLING_PPM } from '#core/rules/guideline'
import type { Milliseconds } from '#core/units/quantities'
import type { WeighingQuery, WeighingView } from '#shared/contracts/weighing'
import type { Tables } from '../../db/database'
import { refuse, type Answer } from '../context'
import { refuseScale, scaleOf } from '../instruments/read-with'
import { lotFacts } from '../judging/lot-facts'
import { stayedQuestion } from '../judging/stayed-of'

/** What the weight of a lot's pieces would show of what stayed, were it told now that liquid left and nobody saw how much. */
export async function weighingView(
  tables: Tables,
  code: string,
  { pieces, how, salt, atMs, scaleId }: WeighingQuery,
  nowMs: Milliseconds,
): Promise<Answer<WeighingView>> {
  const [lot, scale, refused] = await Promise.all([
    tables.lots.one({ code }),
    scaleOf(tables, scaleId ?? null),
    refuseScale(tables, scaleId ?? null, ['scaleId']),
  ])
  if (refused) return refused
  if (!lot) return refuse('no_such_lot', { code })
  const facts = await lotFacts(tables, lot.id)
  // What came off a piece is on no scale with it.
  const meant = facts.leaves.of(pieces).filter(id => facts.leaves.isPiece(id))
  const own = new Set(facts.leaves.all.map(leaf => leaf.id))
  if (meant.length === 0 || !meant.every(id => own.has(id))) return refuse('no_such_piece', { code })
  const question = await stayedQuestion(tables, facts)
  if (!question) return refuse('no_nitrite_stayed', { code })
  const told = {
    pieces: meant,
    drained: { how, saltLies: salt === 'lies', tookSalt: salt === 'went' },
    atMs: Math.min(atMs ?? nowMs, nowMs),
    // A tub may be weighed off: two readings.
    offG: worstCaseG({ readabilityG: scale?.readability ?? lot.meatReadabilityG, readings: 2 }),
  }
  return { ok: true, value: { ...weighingShows(question, told, CURED_COOLING_PPM), neededPpm: CURED_COOLING_PPM } }
}
