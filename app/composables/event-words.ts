import {
  formatIngredient,
  formatMeat,
  formatOffset,
  formatPpm,
  formatTemperature,
  type Notation,
} from '#core/units/format'
import type { EventKind, EventView } from '#shared/contracts/events'
import type { Judgement } from '#shared/contracts/judgement'
import type { CuttingKind } from '#shared/contracts/store'
import type { HoldReason } from '#shared/contracts/holds'
import { holdWords } from '#shared/messages/holds'

type Bag = Record<string, unknown>
type Teller = (typed: Bag, computed: Bag, as: Notation) => string

const text = (value: unknown): string => String(value ?? '')
const SCALE_ERROR_G = 0.01
const GRAMS_SHOWN = 0.1
const CUTTING_WORDS: Record<CuttingKind, string> = { cut: 'Cut', bone: 'Boned', split: 'Split', trim: 'Trimmed' }
const nitriteOf = (computed: Bag, as: Notation): string => {
  const { lot, meaning } = computed.judgement as Judgement
  return lot ? `${meaning === 'upper_bound' ? 'up to ' : ''}${formatPpm(lot.ppm, as)}` : 'salt only'
}
const typedOf = (value: unknown): string => text((value as Bag | undefined)?.typed)

/** What a void took back, in a few words; kinds that cannot be voided have none. */
const KIND_WORDS: Partial<Record<EventKind, string>> = {
  turned: 'the turn',
  drained: 'the draining',
  cure_ended: 'the end of the cure',
  fridge_read: 'the fridge reading',
  run_started: 'the start of the smoke',
  run_read: 'the readings',
  run_pulled: 'the pull',
  sliced: 'the slicing and its packs',
  sent: 'the sending',
  lot_rubbed: 'the rub',
  second_applied: 'the second application',
  weighed_after: 'the weighing',
  lab_result: 'the laboratory result',
  mix_made: 'the mix',
  meat_received: 'the delivery',
  delivery_received: 'the delivery',
  meat_cut: 'the cutting',
  ingredient_opened: 'the opening',
  stock_moved: 'the stock move',
  stock_counted: 'the count',
  ingredient_received: 'the delivery',
  instrument_checked: 'the check',
}
export const mayBeVoided = (event: EventView): boolean => event.kind in KIND_WORDS && event.voided === null

const TELL: Record<EventKind, Teller> = {
  shop_opened: t => `Shop opened: ${text(t.shopName)}.`,
  person_added: t => `Account added: ${text(t.name)}, ${text(t.role)}.`,
  person_changed: (t, c) => {
    const before = c.before as Bag
    return `Account of ${text(before.name)} (${text(before.role)}) changed: ${text(t.name)}, ${text(t.role)}, ${t.active ? 'open' : 'closed'}.`
  },
  password_reset: t => `New password given to ${text(t.person)}.`,
  password_changed: t => `${text(t.person)} changed their password.`,
  pin_chosen: t => `${text(t.person)} chose a PIN.`,
  password_rehashed: t => `${text(t.person)}'s password is kept by a stronger hash from now on.`,
  recovery_code_used: (t, c) => `${text(t.person)} signed in with a recovery code; ${text(c.left)} left.`,
  second_factor_set: t => `${text(t.person)} signs in with a second factor from now on.`,
  second_factor_dropped: t => `${text(t.person)} signs in without a second factor from now on.`,
  name_closed: (t, c) =>
    `Too many wrong passwords for ${text(t.signIn)} from ${text(c.address)}: closed there for ${text(c.minutes)} minutes.`,
  shop_exported: () => 'The whole shop was taken along as a file.',
  own_device_ended: t => `Signed out from elsewhere: ${text(t.station)}.`,
  device_ended: t => `Signed out by the owner: ${text(t.station)}.`,
  rules_confirmed: t =>
    `Rule set confirmed by ${text(t.confirmedBy)} on ${text(t.confirmedOn)} (${text(t.reference)}).`,
  scale_added: t => `Scale added: ${text(t.name)}, reads to ${text(t.readabilityG)} g.`,
  instrument_added: t => `${t.kind === 'scale' ? 'Scale' : 'Thermometer'} added: ${text(t.name)}.`,
  instrument_changed: t =>
    `Instrument changed: ${text(t.name)}, checked every ${text(t.everyDays)} days${t.inUse ? '' : ', out of use'}.`,
  instrument_checked: (_t, c, as) => {
    const error = Number(c.error)
    const off
      = c.is === 'scale'
        ? `${error >= 0 ? '+' : '−'}${formatIngredient(Math.abs(error), as, SCALE_ERROR_G)}`
        : formatOffset(error, as)
    return `${text(c.instrument)} checked: off by ${off}, ${c.passed ? 'passed' : 'NOT passed, not to be used'}${Number(c.offsetC) === 0 ? '' : '; from now on the offset is taken off'}.`
  },
  fridge_changed: t => `Fridge changed: ${text(t.name)}.`,
  fridge_added: t => `Fridge added: ${text(t.name)}.`,
  meat_received: t =>
    `Received ${text(t.cut)}, “${typedOf(t.weight)}”, at “${typedOf(t.temperature)}”, from ${text(t.supplier)}, their lot ${text(t.supplierLot)}.`,
  delivery_received: (t, c) => {
    const lines = t.lines as Bag[]
    const states = c.meat as { code: string; state: string }[]
    const each = lines.map(
      (line, i) =>
        `${states[i]!.code} ${text(line.cut)} “${typedOf(line.weight)}” at “${typedOf(line.temperature)}”${states[i]!.state === 'in' ? '' : `, ${states[i]!.state === 'held' ? 'held' : 'sent back'}: ${text(line.reason)}`}`,
    )
    return `Delivery from ${text(t.supplier)}${t.document ? `, ${text(t.document)}` : ''}: ${each.join('; ')}.`
  },
  meat_cut: (t, c, as) => {
    const gone = (['trim', 'bone', 'rind'] as const).flatMap(part => (t[part] ? [`${part} “${typedOf(t[part])}”`] : []))
    return `${CUTTING_WORDS[t.kind as CuttingKind]} ${text(c.from)}: ${(t.pieces as Bag[]).map((piece, i) => `${(c.labels as string[])[i]} “${typedOf(piece)}”`).join(', ')}${gone.length ? `; ${gone.join(', ')}` : ''}; ${formatMeat(Number(c.unaccountedG), as)} unaccounted.`
  },
  ingredient_opened: () => 'Opened.',
  stock_moved: t => `${t.kind === 'discarded' ? 'Thrown away' : 'Used without a lot'}: “${typedOf(t.amount)}”.`,
  stock_counted: (t, c, as) =>
    `Counted “${typedOf(t.counted)}”; the book said ${formatIngredient(Number(c.bookG), as, GRAMS_SHOWN)}, off by ${formatIngredient(Number(c.differenceG), as, GRAMS_SHOWN)}${c.off ? ', more than the scales explain' : ''}.`,
  party_added: t => `${t.kind === 'supplier' ? 'Supplier' : 'Customer'} added: ${text(t.name)}.`,
  party_changed: (t, c) =>
    `${text((c.before as Bag).name)} changed: ${[t.name, t.contact, t.approval, t.note].filter(Boolean).map(text).join(', ')}.`,
  ingredient_received: t =>
    `Received ${text(t.name)}, “${typedOf(t.amount)}”, from ${text(t.supplier)}, their lot ${text(t.supplierLot)}.`,
  lot_rubbed: (t, c, as) => {
    const pieces = t.pieces as { weight: Bag }[]
    return `Rubbed: ${pieces.length} pieces (${pieces
      .slice(0, 6)
      .map(piece => typedOf(piece.weight))
      .join(', ')}${pieces.length > 6 ? ', …' : ''}), ${nitriteOf(c, as)}.`
  },
  turned: () => 'Turned, all pieces.',
  turn_voided: () => 'A turn was voided.',
  drained: () => 'Drained.',
  cure_ended: () => 'Out of the cure, rinsed.',
  fridge_read: t => `${text(t.fridge)} read “${text(t.temperature)}”.`,
  run_started: (t, c, as) =>
    `Into the smoke, ${text(t.smoker)}; target core ${formatTemperature(Number(c.targetCoreC), as)}.`,
  run_read: (t) => {
    const count = Number(t.count ?? (t.readings as unknown[]).length)
    return `${count} ${t.phase === 'cool' ? 'cooling' : 'smoke'} ${count === 1 ? 'reading' : 'readings'}${t.source === 'csv' ? ' from CSV' : ''}.`
  },
  run_pulled: (_t, c, as) =>
    c.hottestC === null
      ? 'Taken out, smoked cold.'
      : `Pulled; hottest core ${formatTemperature(Number(c.hottestC), as)}.`,
  sliced: (t, c, as) =>
    `Sliced: ${(t.packs as unknown[]).length} packs${t.readyWeight ? `, ready to slice “${typedOf(t.readyWeight)}”` : ''}; ${formatMeat(Number(c.outG), as)} in all.`,
  sent: t => `${(t.packCodes as unknown[]).length} packs sent to ${text(t.customer)}.`,
  second_applied: (_t, c, as) => `Second application; now ${nitriteOf(c, as)}.`,
  weighed_after: (t, c, as) =>
    `${c.method === 'excess' ? 'Weighed back' : 'Out of the brine'}: “${typedOf(t.weight)}”; now ${nitriteOf(c, as)}.`,
  lab_result: (t, c, as) =>
    `Laboratory: ${formatPpm(Number(t.residual), as)} left in the product (${text(t.laboratory)}, ${text(t.report)})${c.maxPpm === undefined ? '' : `, ${formatPpm(Number(c.maxPpm), as)} allowed`}.`,
  mix_made: (t, c, as) =>
    `Mixed ${text(t.name)}, ${formatMeat(Number(c.massG), as)}, for ${text(t.forKg)} kg at ${formatPpm(Number(c.ppm), as)}.`,
  recipe_written: (t, c) =>
    `Recipe ${text((t.recipe as Bag).name)}, revision ${text(c.number)}${t.note ? `: ${text(t.note)}` : ''}.`,
  recipe_retired: t => (t.retired ? 'Recipe put away.' : 'Recipe taken out again.'),
  recipes_imported: (_t, c) => `${(c.codes as unknown[]).length} recipes from a file.`,
  card_laid: () => 'Bench laid out.',
  rules_chosen: (t, c, as) =>
    `Rule set in force: ${text(c.jurisdiction)}; target ${formatPpm(Number(t.targetPpm), as)}.`,
  rules_written: t => `Own rule set written: ${text(t.jurisdiction)}, ${(t.rows as unknown[]).length} rows.`,
  corrected: (_t, c) => `Corrected ${text(c.about)}: “${text(c.from)}” to “${text(c.to)}”.`,
  voided: t => `Voided: ${KIND_WORDS[t.kind as EventKind] ?? text(t.kind)}.`,
  held: (_t, c, as) => `Held: ${holdWords(c.reason as HoldReason, as)}.`,
  rows_sealed: (_t, c) =>
    `${text(c.rows)} rows of the shop sealed as they stand${Number(c.found) > 0 ? `; ${text(c.found)} were not as the book said before` : ''}.`,
  disposed: (t, c, as) => `Owner decided on “${holdWords(c.hold as HoldReason, as)}”: ${text(t.disposition)}.`,
}

/** A record in one sentence, as typed where something was typed. */
export const eventWords = (event: EventView, as: Notation): string =>
  TELL[event.kind](event.typed as Bag, event.computed as Bag, as)
