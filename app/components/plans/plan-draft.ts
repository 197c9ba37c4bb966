import type { PlanItem, PlanItemKind } from '#core/plan/plan'
import { USUAL_DRYING_HOURS } from '#core/rules/house'
import { CUT_WORDS, FLAVOUR_WORDS, HEAT_WORDS } from '#shared/messages/plans'
import { DRY_WORDS } from '#shared/steps/dry'
import { REST_WORDS } from '#shared/steps/rest'

/** An item as it is put into a plan; its figures are changed there. */
export const NEW_ITEMS: { [K in PlanItemKind]: PlanItem & { kind: K } } = {
  rinse: { kind: 'rinse', times: 1 },
  soak: { kind: 'soak', hours: { from: 0.5, to: 1 }, changes: 0, litresPerKg: null },
  rest: { kind: 'rest', how: 'wrapped', hours: { from: 8, to: 24 } },
  dry: { kind: 'dry', how: 'rack', hours: { ...USUAL_DRYING_HOURS }, untilTacky: true },
  flavour: { kind: 'flavour', how: 'dry_spice', hours: null },
  heat: { kind: 'heat', how: 'hot', sessions: 1, hours: null },
  cut: { kind: 'cut', what: 'rind_off' },
  hang: { kind: 'hang', lossFrom: 0.35, lossTo: 0.4, rhByDay: [{ fromDay: 0, percent: 80 }] },
  chill: { kind: 'chill', hours: { from: 4, to: 24 } },
  slice: { kind: 'slice' },
  freeze: { kind: 'freeze' },
}

export const ITEM_TITLES: Record<PlanItemKind, string> = {
  rinse: 'Rinse',
  soak: 'Soak in water',
  rest: 'Rest',
  dry: 'Dry',
  flavour: 'Flavour',
  heat: 'Heat',
  cut: 'Cut',
  hang: 'Hang to a weight',
  chill: 'Chill',
  slice: 'Slice',
  freeze: 'Freeze',
}

const choices = (words: Readonly<Record<string, string>>) => Object.entries(words).map(([value, title]) => ({ value, title }))
/** The ways of an item that has several, and what may be chosen. */
export const WAYS: Partial<Record<PlanItemKind, { value: string; title: string }[]>> = {
  rest: choices(REST_WORDS),
  dry: choices(DRY_WORDS),
  flavour: choices(FLAVOUR_WORDS),
  heat: choices(HEAT_WORDS),
  cut: choices(CUT_WORDS),
}

/** Moves an item one place up or down; outside the list nothing happens. */
export function movedItem(items: readonly PlanItem[], i: number, by: -1 | 1): PlanItem[] {
  const to = i + by
  if (to < 0 || to >= items.length) return [...items]
  const next = [...items]
  ;[next[i], next[to]] = [next[to]!, next[i]!]
  return next
}
