import type { Problem } from '#shared/contracts/problem'
import type { Press, PressLot } from '~/logic/press'

const FIT_NOT = new Set(['step_contradicts', 'told_already', 'no_such_lot'])

/**
 * Where one lot of several, or some pieces of one, stand in the way of a press: the rest of it, which can be recorded.
 * Null when there is no rest.
 */
export function othersOf(
  body: Press,
  lots: readonly PressLot[],
  problem: Pick<Problem, 'code' | 'errors'> | null,
): { words: string; body: Press } | null {
  if (!problem || !FIT_NOT.has(problem.code)) return null
  const { code, unfit } = (problem.errors?.[0]?.params ?? {}) as { code?: string; unfit?: string }
  const rest = body.lots.filter(lot => lot.code !== code)
  if (rest.length === body.lots.length) return null
  if (rest.length > 0)
    return { words: rest.length === 1 ? `Record ${rest[0]!.code}` : `Record the other ${rest.length}`, body: { ...body, lots: rest } }
  const lot = lots.find(one => one.code === code)
  const not = new Set((unfit ?? '').split(' ').filter(Boolean).map(Number))
  if (!lot || not.size === 0) return null
  const pieces = (lot.pieces ?? lot.all).filter(id => !not.has(id))
  if (pieces.length === 0) return null
  const words = pieces.length === 1 ? 'Record the other piece' : `Record the other ${pieces.length} pieces`
  return { words, body: { ...body, lots: [{ code: lot.code, pieces }] } }
}
