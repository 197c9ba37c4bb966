import { MOST_LATER_SHARE } from '../rules/house'
import { laterShare } from './later-share'
import { WETS, type Plan, type PlanItem, type PlanItemKind } from './plan'

/** What cannot be, whatever the maker wants. */
export type PlanFault
  = | 'rhythm_order'
    | 'end_before_ready'
    | 'look_after_end'
    | 'add_after_end'
    | 'adds_over'
    | 'slice_before_more'
    | 'rinse_not_first'

/** Why a plan cannot be carried out; null when it can. */
export function planFault({ cure, end, then }: Plan): PlanFault | null {
  const { rhythm, looks, adds } = cure
  if (rhythm[0]?.fromDay !== 0 || rhythm.some((part, i) => i > 0 && part.fromDay <= rhythm[i - 1]!.fromDay))
    return 'rhythm_order'
  if (end.toDay < end.fromDay) return 'end_before_ready'
  if (looks.some(day => day > end.toDay)) return 'look_after_end'
  const lastDays = adds.flatMap(({ when }) => (when.on === 'day' ? when.day : when.on === 'each_turn' ? when.toDay : []))
  if (lastDays.some(day => day > end.toDay)) return 'add_after_end'
  if (laterShare({ cure }) > MOST_LATER_SHARE) return 'adds_over'
  const kinds = then.map(item => item.kind)
  const slice = kinds.indexOf('slice')
  const after: readonly PlanItemKind[] = slice < 0 ? [] : kinds.slice(slice + 1)
  if (after.some(kind => kind !== 'freeze')) return 'slice_before_more'
  return kinds.lastIndexOf('rinse') > 0 ? 'rinse_not_first' : null
}

/** What can be, and is asked about. */
export type PlanDoubt = 'smoke_on_wet'

const isWetWay = (item: PlanItem): boolean =>
  (item.kind === 'heat' && item.how === 'bath') || (item.kind === 'flavour' && item.how === 'marinade')

/** Smoke with no drying after the last wet item; a bath of hot water is no smoke. */
export function planDoubt({ then }: Plan): PlanDoubt | null {
  let isWet = false
  for (const item of then) {
    if (WETS.has(item.kind) || isWetWay(item)) isWet = true
    else if (item.kind === 'dry' || item.kind === 'hang') isWet = false
    else if (item.kind === 'heat' && item.how !== 'oven' && isWet) return 'smoke_on_wet'
  }
  return null
}
