import type { Milliseconds } from '#core/units/quantities'
import type { Notation } from '#core/units/format'
import type { Mend } from '#core/life/meaning'
import type { StepKind } from '#core/life/kinds/all-kinds'
import { said } from '../../faults/params'
import { contradictionWords, type Contradicting } from '../contradictions'
import { MEND_WORDS, STEP_DONE } from '../steps'

type ContradictionFigures = Contradicting & {
  mend: Mend
  /** Ids of the pieces for which it cannot be, a blank between. */
  unfit: string
}

/** What was asked for is so already, or stands against what is so: nothing needs doing again. */
export const SETTLED = {
  card_used: (p: { code: string }) => `${p.code} was rubbed already and stays as it is. Lay a new card.`,
  no_second_due: (p: { code: string }) => `${p.code} waits for no second application. Its page shows what went on.`,
  already_open: (p: { code: string }) => `${p.code} is open already. Nothing is left to do.`,
  turned_just_now: (p: { who: string; code: string; minutes: number }) =>
    `${p.who} turned ${p.code} ${p.minutes < 1 ? 'just now' : `${p.minutes} min ago`}: that turn counts. No second one was added.`,
  list_changed: (p: { name: string }) => `The list “${p.name}” was changed meanwhile. `
    + 'Nothing was recorded; load the page and go through it again.',
  told_already: (p: { code: string; kind: StepKind; who: string; minutes: number }) =>
    `${p.who} told ${p.minutes < 1 ? 'just now' : `${p.minutes} min ago`} that ${p.code} was `
    + `${STEP_DONE[p.kind]}: that counts. If it was done a second time, say so.`,
  step_contradicts: (p: ContradictionFigures, as: Notation) =>
    `${contradictionWords(p, as)} ${MEND_WORDS[p.mend]} Nothing was recorded.`,
  lot_is_finished: (p: { code: string }) => `Nothing of ${p.code} is left: a plan for it would say nothing. `
    + 'Its page shows what became of it.',
  plan_alters_past: (p: { code: string }) =>
    `How ${p.code} was to be turned on the days gone by stays as it was planned. Change it from tomorrow on.`,
  cure_over: (p: { code: string }) => `${p.code} is out of the cure already. Its page shows since when.`,
  already_pulled: (p: { code: string }) => `${p.code} was pulled already. Its page shows when and by whom.`,
  already_decided: () => 'This hold was decided already. Open the lot again to see how.',
  already_voided: () => 'This record was voided already. Load the page again to see by whom.',
  key_reused: () => 'This entry was sent before with other figures. Open the page again and look what is recorded.',
  shown_once: () => 'This was done, but its answer was lost on the way and is shown only once. Begin anew.',
  shop_exists: () => 'This shop is already set up. Sign in instead.',
  clock_ahead: (p: { nowMs: Milliseconds; zone: string; hours: number }, as: Notation) =>
    `The shop's computer says it is ${said.moment(p.nowMs, p.zone, as)}. `
    + `The last record is ${p.hours} hours older. Set the clock right, or say that it is right.`,
  clock_off_database: (p: { nowMs: Milliseconds; zone: string; hours: number }, as: Notation) =>
    `This computer says it is ${said.moment(p.nowMs, p.zone, as)}; `
    + `the one that keeps the records is ${p.hours} hours off. `
    + 'Set the wrong clock right, or say that this one is right.',
}
