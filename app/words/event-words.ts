import {
  formatIngredient,
  formatMeat,
  formatNumber,
  formatOffset,
  formatPpm,
  formatTemperature,
  type Notation,
} from '#core/units/format'
import { changesWords, planWords } from '#shared/messages/plans'
import type { EventKind } from '#shared/contracts/event-kinds'
import type { EventView } from '#shared/contracts/events'
import type { ComputedOf, Happened, TypedOf } from '#shared/contracts/records'
import type { Judgement } from '#shared/contracts/judgement'
import type { CuttingKind } from '#shared/contracts/store'
import { holdWords } from '#shared/messages/holds'
import { PLACE_WORDS } from '#shared/messages/places'
import { piecesWords } from '#shared/messages/pieces'
import { STEP_DONE } from '#shared/messages/steps'
import { isVoidable, VOID_WORDS } from '#shared/messages/void-words'
import { wordList } from '#core/lists/word-list'
import { lateWords, pressWords } from './step-words'

type Teller<K extends EventKind> = (typed: TypedOf<K>, computed: ComputedOf<K>, as: Notation) => string

const SCALE_ERROR_G = 0.01
const GRAMS_SHOWN = 0.1
const CUTTING_WORDS: Record<CuttingKind, string> = { cut: 'Cut', bone: 'Boned', split: 'Split', trim: 'Trimmed' }
const nitriteOf = ({ judgement: { lot, meaning } }: { judgement: Judgement }, as: Notation): string => {
  return lot ? `${meaning === 'upper_bound' ? 'up to ' : ''}${formatPpm(lot.ppm, as)}` : 'salt only'
}

/** Whether a record can be taken back, and was not yet. */
export const mayBeVoided = (event: EventView): boolean => isVoidable(event.kind) && event.voided === null

/** Words of a record that went on without what its place or tool asks for. */
const uncheckedWords = ({ unchecked }: { unchecked?: boolean }): string => (unchecked ? ', without the check that is asked for' : '')

const TELL: { [K in EventKind]: Teller<K> } = {
  shop_opened: t => `Shop opened: ${t.shopName}.`,
  person_added: t => `Account added: ${t.name}, ${t.role}.`,
  person_changed: (t, c) => {
    const before = c.before
    return `Account of ${before.name} (${before.role}) changed: ${t.name}, ${t.role}, ${t.active ? 'open' : 'closed'}.`
  },
  password_reset: t => `New password given to ${t.person}.`,
  password_changed: t => `${t.person} changed their password.`,
  pin_chosen: t => `${t.person} chose a PIN.`,
  password_rehashed: t => `${t.person}'s password is kept by a stronger hash from now on.`,
  recovery_code_used: (t, c) => `${t.person} signed in with a recovery code; ${c.left} left.`,
  second_factor_set: t => `${t.person} signs in with a second factor from now on.`,
  second_factor_dropped: t => `${t.person} signs in without a second factor from now on.`,
  name_closed: (t, c) =>
    `Too many wrong passwords for ${t.signIn} from ${c.address}: closed there for ${c.minutes} minutes.`,
  shop_exported: () => 'The whole shop was taken along as a file.',
  own_device_ended: t => `Signed out from elsewhere: ${t.station}.`,
  calendar_linked: t => `${t.person} made an address for their calendar.`,
  calendar_ended: t => `${t.person} ended the address of their calendar.`,
  device_ended: t => `Signed out by the owner: ${t.station}.`,
  rules_confirmed: t =>
    `Rule set confirmed by ${t.confirmedBy} on ${t.confirmedOn} (${t.reference}).`,
  scale_added: t => `Scale added: ${t.name}, reads to ${t.readabilityG} g.`,
  instrument_added: t => `${t.kind === 'scale' ? 'Scale' : t.kind === 'hygrometer' ? 'Hygrometer' : 'Thermometer'} added: ${t.name}.`,
  instrument_changed: t =>
    `Instrument changed: ${t.name}, checked every ${t.everyDays} days${t.inUse ? '' : ', out of use'}.`,
  instrument_checked: (_t, c, as) => {
    const error = c.error
    const off
      = c.is === 'scale'
        ? `${error >= 0 ? '+' : '−'}${formatIngredient(Math.abs(error), as, SCALE_ERROR_G)}`
        : c.is === 'hygrometer'
          ? `${error >= 0 ? '+' : '−'}${formatNumber(Math.abs(error), 1, as.decimal)} % RH`
          : formatOffset(error, as)
    return `${c.instrument} checked: off by ${off}, `
      + `${c.passed ? 'passed' : 'NOT passed, not to be used'}${c.offsetC === 0 ? '' : '; from now on the offset is taken off'}.`
  },
  plan_changed: (t, c, as) => {
    const whose = c.pieces === null ? '' : ` for ${piecesWords(c.pieces)}`
    const changes = c.assumed ? planWords(t.plan, as) : changesWords(c.before, t.plan, as)
    return `Plan${whose}: ${changes || 'as before'}.`
  },
  place_added: t => `${PLACE_WORDS[t.kind]} added: ${t.name}.`,
  place_changed: t => `Place changed: ${t.name}, ${PLACE_WORDS[t.kind].toLowerCase()}${t.inUse ? '' : ', out of use'}.`,
  piece_tagged: (t, c) => (t.tag ? `Piece ${c.number} tagged “${t.tag}”.` : `Tag “${c.before ?? ''}” taken off piece ${c.number}.`),
  check_list_added: t => `List added: ${t.name} (${t.items.join('; ')}).`,
  check_list_changed: t => `List changed: ${t.name} (${t.items.join('; ')})${t.inUse ? '' : ', put away'}.`,
  place_checked: (t, c) => {
    const left = c.missing.length > 0 ? `; NOT done: ${c.missing.join(', ')}` : ''
    const how = [t.cleanedWith && `with ${t.cleanedWith}`, t.note && `“${t.note}”`].filter(Boolean).map(one => `, ${one}`).join('')
    return `${t.list}${t.place ? `, ${t.place}` : ''}: ${c.done.join(', ') || 'nothing done'}${left}${how}.`
  },
  place_read: (t) => {
    const read = [t.temperature && `“${t.temperature}”`, t.humidity && `“${t.humidity}” humidity`].filter(Boolean)
    return `${t.place} read ${read.join(' and ')}.`
  },
  fridge_changed: t => `Fridge changed: ${t.name}.`,
  fridge_added: t => `Fridge added: ${t.name}.`,
  meat_received: t =>
    `Received ${t.cut}, “${t.weight.typed}”, at “${t.temperature.typed}”, from ${t.supplier}, their lot ${t.supplierLot}.`,
  delivery_received: (t, c) => {
    const lines = t.lines
    const states = c.meat
    const each = lines.map(
      (line, i) =>
        `${states[i]!.code} ${line.cut} “${line.weight.typed}” at “${line.temperature.typed}”`
        + (states[i]!.state === 'in' ? '' : `, ${states[i]!.state === 'held' ? 'held' : 'sent back'}: ${line.reason}`),
    )
    return `Delivery from ${t.supplier}${t.document ? `, ${t.document}` : ''}: ${each.join('; ')}.`
  },
  meat_cut: (t, c, as) => {
    const gone = (['trim', 'bone', 'rind'] as const).flatMap(part => (t[part] ? [`${part} “${t[part].typed}”`] : []))
    const made = t.pieces.map((piece, i) => `${c.labels[i]} “${piece.typed}”`)
    return `${CUTTING_WORDS[t.kind]} ${c.from}: ${made.join(', ')}${gone.length ? `; ${gone.join(', ')}` : ''}; `
      + `${formatMeat(c.unaccountedG, as)} unaccounted.`
  },
  ingredient_opened: () => 'Opened.',
  stock_moved: t => `${t.kind === 'discarded' ? 'Thrown away' : 'Used without a lot'}: “${t.amount.typed}”.`,
  stock_counted: (t, c, as) =>
    `Counted “${t.counted.typed}”; the book said ${formatIngredient(c.bookG, as, GRAMS_SHOWN)}, `
    + `off by ${formatIngredient(c.differenceG, as, GRAMS_SHOWN)}${c.off ? ', more than the scales explain' : ''}.`,
  party_added: t => `${t.kind === 'supplier' ? 'Supplier' : 'Customer'} added: ${t.name}.`,
  party_changed: (t, c) =>
    `${c.before.name} changed: ${[t.name, t.contact, t.approval, t.note].filter(Boolean).join(', ')}.`,
  ingredient_received: t =>
    `Received ${t.name}, “${t.amount.typed}”, from ${t.supplier}, their lot ${t.supplierLot}.`,
  lot_rubbed: (t, c, as) => {
    const pieces = t.pieces
    return `Rubbed: ${pieces.length} pieces (${pieces
      .slice(0, 6)
      .map(piece => piece.weight.typed)
      .join(', ')}${pieces.length > 6 ? ', …' : ''}), ${nitriteOf(c, as)}.`
  },
  turned: () => 'Turned, all pieces.',
  step: pressWords,
  turn_voided: () => 'A turn was voided.',
  drained: () => 'Drained.',
  cure_ended: () => 'Out of the cure, rinsed.',
  fridge_read: t => `${t.fridge} read “${t.temperature}”.`,
  run_started: (t, c, as) =>
    `Into the smoke, ${t.smoker}; target core ${formatTemperature(c.targetCoreC, as)}${uncheckedWords(t)}.`,
  run_read: (t) => {
    const count = t.count ?? t.readings?.length ?? 0
    return `${count} ${t.phase === 'cool' ? 'cooling' : 'smoke'} `
      + `${count === 1 ? 'reading' : 'readings'}${t.source === 'csv' ? ' from CSV' : ''}.`
  },
  run_pulled: (_t, c, as) =>
    c.hottestC === null
      ? 'Taken out, smoked cold.'
      : `Pulled; hottest core ${formatTemperature(c.hottestC, as)}.`,
  sliced: (t, c, as) =>
    `Sliced${c.pieces ? ` ${piecesWords(c.pieces)}` : ''}: ${t.packs.length} `
    + `packs${t.readyWeight ? `, ready to slice “${t.readyWeight.typed}”` : ''}; `
    + `${formatMeat(c.outG, as)} in all${uncheckedWords(t)}.`,
  sent: t => `${t.packCodes.length} packs sent to ${t.customer}.`,
  second_applied: (_t, c, as) => `Second application; now ${nitriteOf(c, as)}.`,
  weighed_after: (t, c, as) =>
    `${c.method === 'excess' ? 'Weighed back' : 'Out of the brine'}: “${t.weight.typed}”; now ${nitriteOf(c, as)}.`,
  lab_result: (t, c, as) =>
    `Laboratory: ${formatPpm(t.residual, as)} left in the product (${t.laboratory}, `
    + `${t.report})${c.maxPpm === undefined ? '' : `, ${formatPpm(c.maxPpm, as)} allowed`}.`,
  mix_made: (t, c, as) =>
    `Mixed ${t.name}, ${formatMeat(c.massG, as)}, for ${t.forKg} kg at ${formatPpm(c.ppm, as)}.`,
  recipe_written: (t, c) =>
    `Recipe ${t.recipe.name}, revision ${c.number}${t.note ? `: ${t.note}` : ''}.`,
  recipe_retired: t => (t.retired ? 'Recipe put away.' : 'Recipe taken out again.'),
  recipes_imported: (_t, c) => `${c.codes.length} recipes from a file.`,
  card_laid: () => 'Bench laid out.',
  rules_chosen: (t, c, as) =>
    `Rule set in force: ${c.jurisdiction}; target ${formatPpm(t.targetPpm, as)}.`,
  rules_written: t => `Own rule set written: ${t.jurisdiction}, ${t.rows.length} rows.`,
  pack_returned: (t, c) => `${t.pack} came back from ${c.customer}: ${t.reason}${t.place ? `. It lies in ${t.place}` : ''}.`,
  return_decided: t => `Owner decided on ${t.pack}, which came back: ${t.disposition}.`,
  corrected: (_t, c) => `Corrected ${c.about}: “${c.from}” to “${c.to}”.`,
  voided: t => `Voided: ${isVoidable(t.kind) ? VOID_WORDS[t.kind] : t.kind}.`,
  held: (_t, c, as) => `Held: ${holdWords(c.reason, as)}.`,
  rows_sealed: (_t, c) =>
    `${c.rows} rows of the shop sealed as they stand${c.found > 0 ? `; ${c.found} were not as the book said before` : ''}.`,
  rules_changed: (_t, c, as) => {
    if (c.rule === 'places_read')
      return 'A newer version judges by more: from now on a place with meat in it is to be read, and what lies unread for too '
        + 'long is held.'
    const held = c.held.map(({ code, reasons }) => `${code} (${reasons.map(reason => holdWords(reason, as)).join(', ')})`)
    return `Judged afresh by the rules of ${c.to}: ${held.length === 0 ? 'nothing is newly held' : `held ${wordList(held)}`}.`
  },
  steps_settled: (_t, c) => {
    const named = (steps: typeof c.settled) =>
      wordList(steps.map(({ kind, eventId }) => `${STEP_DONE[kind]}${eventId === null ? '' : ` (record ${eventId})`}`))
    const settled = c.settled.length > 0 ? ` Counts no more, because it cannot be: ${named(c.settled)}.` : ''
    const left = c.left.length > 0 ? ` Left, because it stands with others: ${named(c.left)}.` : ''
    return `Set right what contradicted itself, and where the pieces stand.${settled}${left}`
  },
  disposed: (t, c, as) => `Owner decided on “${holdWords(c.hold, as)}”: ${t.disposition}.`,
}

/** A record in one sentence, as typed where something was typed. */
export const eventWords = <K extends EventKind>(event: EventView<K>, as: Notation): string =>
  TELL[event.kind](event.typed, event.computed, as) + (event.kind === 'step' ? '' : lateWords(event.computed as Happened))
