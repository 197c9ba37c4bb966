import type { PlanItem, PlanItemKind } from '#core/plan/plan'
import { USUAL_DRYING_HOURS } from '#core/rules/house'

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

/** The ways of an item that has several: its field, and what may be chosen. */
export const WAYS: Partial<Record<PlanItemKind, readonly { value: string; title: string }[]>> = {
  rest: [
    { value: 'open', title: 'unwrapped' },
    { value: 'wrapped', title: 'wrapped' },
    { value: 'sealed', title: 'sealed' },
    { value: 'part_frozen', title: 'part-frozen' },
  ],
  dry: [
    { value: 'rack', title: 'on the rack' },
    { value: 'hung', title: 'hung up' },
    { value: 'fan', title: 'before a fan' },
    { value: 'warm', title: 'warm, without smoke' },
  ],
  flavour: [
    { value: 'marinade', title: 'marinade' },
    { value: 'dry_spice', title: 'dry spice' },
    { value: 'glaze', title: 'glaze' },
  ],
  heat: [
    { value: 'cold', title: 'cold smoke' },
    { value: 'hot', title: 'hot smoke' },
    { value: 'bath', title: 'hot bath' },
    { value: 'oven', title: 'oven' },
  ],
  cut: [
    { value: 'rind_off', title: 'rind off' },
    { value: 'trim', title: 'trim' },
    { value: 'divide', title: 'divide' },
  ],
}

/** Moves an item one place up or down; outside the list nothing happens. */
export function movedItem(items: readonly PlanItem[], i: number, by: -1 | 1): PlanItem[] {
  const to = i + by
  if (to < 0 || to >= items.length) return [...items]
  const next = [...items]
  ;[next[i], next[to]] = [next[to]!, next[i]!]
  return next
}
