import type { Milliseconds } from '#core/units/quantities'
import { ON_FACE } from '#shared/steps/add'
import { formatPercent, type Notation } from '#core/units/format'
import type { LotView } from '#shared/contracts/lots'
import type { MixRole } from '#shared/contracts/store'
import { piecesWords } from '#shared/messages/pieces'

export const ROLE_WORDS: Record<MixRole, string> = {
  agent: 'Curing salt',
  salt: 'Salt',
  sugar: 'Sugar',
  spice: 'Seasoning',
}
/** A weighing after the rub: what it is called, and what holds until it is done. */
export const AFTER_WORDS = {
  excess: {
    head: 'Shaken off, weighed back',
    label: 'Mix weighed back',
    until: 'What is weighed back comes off at the mix\'s own composition.',
  },
  wet: {
    head: 'Out of the brine',
    label: 'All pieces, after the brine',
    until: 'All pieces together, drained. Until then the ppm is the most it can be.',
  },
}

type Part = LotView['ingredients'][number]
export const partName = (part: Part): string => (part.role === 'spice' ? part.name : ROLE_WORDS[part.role as MixRole])

/** When, or on which pieces, a part went on; empty for what went on all of them at the rub. */
export function partWords(part: Part, moment: (atMs: Milliseconds) => string): string {
  const { application, pieceNumbers, atMs, face, usedFor } = part
  return [
    ...(application === 2 ? ['second application'] : usedFor ? ['flavour'] : application > 1 ? ['put on later'] : []),
    ...(face && face !== 'all' ? [ON_FACE[face]] : []),
    ...(pieceNumbers ? [`${piecesWords(pieceNumbers)}`] : []),
    ...(application > 1 && atMs !== null ? [moment(atMs)] : []),
  ].join(', ')
}

/** What the lot was planned to hold, and how it was put on. */
export function targetWords({ targets, waterTyped, sides }: LotView, as: Notation): string {
  const share = (of: number, decimals = 1) => formatPercent(of, as, decimals)
  return [
    `Recipe: salt ${share(targets.saltShare)} ${targets.saltBasis}, sugar ${share(targets.sugarShare)} of green weight.`,
    ...(waterTyped ? [`In a brine of ${waterTyped} water.`] : []),
    ...(sides ? [`Sides: flesh ${share(sides.flesh, 0)}, fat ${share(sides.fat, 0)}, edges ${share(sides.edges, 0)}.`] : []),
  ].join(' ')
}

export const scaleWords = (scale: { name: string } | null): string =>
  `Weighed on ${scale?.name ?? 'a scale nobody named'}.`
