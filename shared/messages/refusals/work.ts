import { upperFirst } from '#core/lists/upper-first'
import { formatSpan } from '#core/units/format-span'
import type { Celsius, Fraction, Grams, Milliseconds, Ppm } from '#core/units/quantities'
import { UNACCOUNTED_SHARE } from '#core/rules/house'
import type { Notation } from '#core/units/format'
import type { HoldReason } from '../../contracts/holds'
import { holdWords } from '../holds'
import type { MeatState } from '../../contracts/store'
import { said } from '../../faults/params'

/** Ways back under a limit: `takeOffG` of curing salt, `addMeatG` of meat; 0 where there is none. */
type Fix = { takeOffG: Grams; addMeatG: Grams }
const verdictFix = (p: Fix, as: Notation): string => {
  const ways = [
    p.takeOffG > 0 ? `take off ${said.grams(p.takeOffG, as)} of curing salt` : '',
    p.addMeatG > 0 ? `add ${said.meat(p.addMeatG, as)} of meat` : '',
  ]
    .filter(way => way !== '')
    .join(' or ')
  return ways === ''
    ? 'Weigh the curing salt again on a finer scale, or cure more meat at a time.'
    : `${upperFirst(ways)}.`
}

/** What the shop's rules or the work refuse: what was wrong and the next step. */
export const WORK = {
  invalid_input: (p: { count: number }) => `${p.count} entries need another look.`,
  rub_above_limit: (p: Fix & { ppm: Ppm; maxPpm: Ppm; source: string }, as: Notation) =>
    `${said.ppmBeside(p.ppm, p.maxPpm, as)} is above the limit of ${said.ppm(p.maxPpm, as)} (${p.source}). ${verdictFix(p, as)}`,
  rub_limit_not_shown: (p: Fix & { highPpm: Ppm; maxPpm: Ppm }, as: Notation) =>
    `This may be up to ${said.ppmBeside(p.highPpm, p.maxPpm, as)}, and the limit is ${said.ppm(p.maxPpm, as)}: `
    + `the weighing cannot show it is inside. ${verdictFix(p, as)}`,
  salt_only_too_weak: (p: { leastG: Grams; leastShare: Fraction }, as: Notation) =>
    `Under ${said.percent(p.leastShare, as, 1)} salt and no nitrite is not a cure. Weigh at least ${said.grams(p.leastG, as)} of salt.`,
  salt_already_exceeded: (p: { carriedG: Grams; wantedG: Grams; by: string }, as: Notation) =>
    `Curing salt and seasonings already bring ${said.grams(p.carriedG, as)} of salt, `
    + `more than the ${said.grams(p.wantedG, as)} wanted; most comes with the ${p.by}. `
    + `${p.by === 'curing salt' ? 'Raise the salt or use a stronger curing salt.' : 'Take less of it, or raise the salt.'}`,
  nitrate_refused: (p: { name: string; jurisdiction: string }) =>
    `${p.name} holds nitrate, which the rules of ${p.jurisdiction} do not allow here. Use curing salt no. 1 or a nitrite curing salt.`,
  nitrate_above_limit: (p: { ppm: Ppm; maxPpm: Ppm; source: string }, as: Notation) =>
    `${said.ppmBeside(p.ppm, p.maxPpm, as)} of nitrate is above the limit of ${said.ppm(p.maxPpm, as)} `
    + `(${p.source}). Use curing salt no. 1, or less.`,
  agent_no_certificate: (p: { name: string }) =>
    `${p.name} has no certificate: without one nobody knows the ppm. Ask the supplier for it, or use curing salt no. 1.`,
  agent_expired: (p: { name: string; bestBefore: string }, as: Notation) =>
    `${p.name} was best before ${said.date(p.bestBefore, as)}: its nitrite is no longer what the label says. Open a lot that is in date.`,
  agent_long_dried_only: (p: { name: string }) =>
    `${p.name} is for whole muscle that dries for weeks: its nitrate is not used up in bacon. Use curing salt no. 1.`,
  mix_spiced_stored: (p: { name: string; spicedOn: string }, as: Notation) =>
    `${p.name} was mixed with seasonings on ${said.date(p.spicedOn, as)}: `
    + 'nitrite and spices are not stored together. Throw it away, and mix anew without them.',
  agent_no_nitrite: (p: { name: string }) =>
    `${p.name} holds no nitrite that can be counted. Use curing salt no. 1, or cure with salt only.`,
  salt_iodised: (p: { code: string; name: string }) =>
    `${p.code} ${p.name} is iodised: it spoils flavour and colour. Use salt without iodine.`,
  ingredient_expired: (p: { code: string; name: string; bestBefore: string }, as: Notation) =>
    `${p.code} ${p.name} was best before ${said.date(p.bestBefore, as)}. Choose a lot that is in date.`,
  salt_missing: (p: { saltG: Grams }, as: Notation) =>
    `This cure needs ${said.grams(p.saltG, as)} of salt beside the curing salt. Weigh it and enter it.`,
  brine_too_strong: (p: { mostShare: Fraction }, as: Notation) =>
    `No brine holds that much salt: it is full at ${said.percent(p.mostShare, as, 1)}. Take more water, or less salt.`,
  weighed_back_all: () => 'What is weighed back is as much as went on. Check the weight and the tub.',
  salt_slip: (p: { share: Fraction; plannedShare: Fraction; least: number; most: number }, as: Notation) =>
    `This comes to ${said.percent(p.share, as)} salt in all; the plan is ${said.percent(p.plannedShare, as)}. `
    + `No measured cure lies outside ${said.percent(p.least, as)} to ${said.percent(p.most, as)}: `
    + 'check the unit and the point, and weigh the salt again.',
  salt_off: (p: { share: Fraction; plannedShare: Fraction }, as: Notation) =>
    `This comes to ${said.percent(p.share, as)} salt in all, and the plan is `
    + `${said.percent(p.plannedShare, as)}: off by more than a fifth. `
    + `If it is meant, type the salt's weight a second time.`,
  recipe_unchanged: (p: { number: number }) => `Nothing is different from revision ${p.number}. No new one was written.`,
  second_other_agent: (p: { code: string }) =>
    `The first application was made with ${p.code}. Use the same curing salt for the second.`,
  nothing_to_weigh_back: (p: { code: string }) => `${p.code} was cured by a method that weighs nothing back.`,
  after_brine_weight: (p: { netG: Grams; greenG: Grams }, as: Notation) =>
    `${said.meat(p.netG, as)} out of the brine does not fit ${said.meat(p.greenG, as)} that went in. Check the scale and the tub.`,
  residual_lab_always: (p: { code: string }) =>
    `Your authority wants a laboratory result for every lot: ${p.code} has none yet. Record it on the lot's page.`,
  residual_nitrate: (p: { code: string }) =>
    `${p.code} holds nitrate, or a curing salt without a certificate: `
    + `only a laboratory shows what is left in the product. Record its result on the lot's page.`,
  residual_unweighed: (p: { code: string }) =>
    `Nitrite went onto ${p.code} that nobody weighed, or after its cure: `
    + `only a laboratory shows what is left in the product. Record its result on the lot's page.`,
  residual_no_figure: (p: { jurisdiction: string; code: string }) =>
    `The rules of ${p.jurisdiction} limit what is left in the product and the set has no figure for it: `
    + `${p.code} needs a laboratory result. Record it on the lot's page.`,
  residual_not_finished: (p: { code: string }) =>
    `${p.code} has no finished weight yet: without it nobody can say what is left in the product. `
    + 'Weigh it ready to slice, or record a laboratory result.',
  residual_over: (p: { boundPpm: Ppm; maxPpm: Ppm; code: string }, as: Notation) =>
    `By its weights ${p.code} may hold up to ${said.ppmBeside(p.boundPpm, p.maxPpm, as)} in the product, `
    + `and ${said.ppm(p.maxPpm, as)} is allowed. A laboratory result shows what it really holds; `
    + `record it on the lot's page.`,
  rules_shipped: () => 'The sets that came with the program are not edited. Copy one into a set of your own.',
  mix_of_mix: (p: { code: string }) => `${p.code} is itself a mix. Make mixes from what came in.`,
  mix_lot_twice: (p: { code: string }) => `${p.code} is in this mix twice. Enter its whole weight once.`,
  mix_two_agents: () => 'Two curing salts in one mix cannot be kept apart. Use one.',
  mix_without_agent: () => 'There is no curing salt in this mix. Add it, or weigh salt and sugar at the bench.',
  mix_misses: (p: { ppm: Ppm; wantedPpm: Ppm; kg: number }, as: Notation) =>
    `For ${p.kg} kg this mix gives ${said.ppmBeside(p.ppm, p.wantedPpm, as)}, not ${said.ppm(p.wantedPpm, as)}. Check the weights.`,
  no_rule: (p: { cut: string }) => `The rule set says nothing about ${p.cut}. Ask your inspector before you cure it.`,
  wrong_ingredient: (p: { code: string; name: string }) =>
    `${p.code} is ${p.name}, which cannot be used here. Choose another lot.`,
  cut_mismatch: (p: { code: string; cut: string }) =>
    `${p.code} is ${p.cut}: another cut has another limit. Choose meat of one cut.`,
  rind_mismatch: (p: { code: string }) => `${p.code} came without rind. Set the lot to rind off.`,
  meat_used_up: (p: { leftG: Grams; code: string; wantedG: Grams }, as: Notation) =>
    `Only ${said.meat(p.leftG, as)} of ${p.code} is left, and the pieces weigh ${said.meat(p.wantedG, as)}. Check the meat and the unit.`,
  ingredient_used_up: (p: { leftG: Grams; code: string }, as: Notation) =>
    `Only ${said.grams(p.leftG, as)} of ${p.code} is left. Choose another lot or check the weight.`,
  wrong_check: () =>
    'This check is not for this instrument: a scale takes a check weight, '
    + 'a thermometer ice water or a reference, a hygrometer wet salt or a reference. Nothing was recorded.',
  no_such_smoker: (p: { name: string; known: string }) =>
    p.known
      ? `No place that heats is called ${p.name}. Choose one that is: ${p.known}.`
      : 'No place that heats is set up. The owner adds one in the Office.',
  place_not_empty: (p: { name: string; code: string }) =>
    `Pieces of ${p.code} still lie in ${p.name}. Move them first.`,
  name_taken: (p: { name: string }) => `${p.name} is taken. Choose another name.`,
  arrival_too_warm: (p: { tempC: Celsius }, as: Notation) =>
    `${said.temperature(p.tempC, as)} is too warm to take in. Send it back, or hold it and say why.`,
  meat_not_in: (p: { code: string; state: MeatState }) =>
    `${p.code} is `
    + `${p.state === 'held'
      ? 'held until the owner decides'
      : p.state === 'refused' ? 'not here: it was sent back' : 'marked to be destroyed'}. `
      + 'Choose other meat.',
  piece_gone: (p: { label: string }) => `Piece ${p.label} was cut up or is in a lot already. Load the page again.`,
  piece_heavier: (p: { label: string; cutG: Grams; wantedG: Grams }, as: Notation) =>
    `Piece ${p.label} weighed ${said.meat(p.cutG, as)} when it was cut, and now ${said.meat(p.wantedG, as)}. Check the scale and the tub.`,
  cut_too_much: (p: { outG: Grams; fromG: Grams }, as: Notation) =>
    `The parts come to ${said.meat(p.outG, as)}, more than the ${said.meat(p.fromG, as)} that was cut. Check the weights.`,
  cut_unaccounted: (p: { unaccountedG: Grams }, as: Notation) =>
    `${said.meat(p.unaccountedG, as)} is not accounted for, over ${said.limit(UNACCOUNTED_SHARE)}. `
    + 'Enter trim, bone and rind, or say in the note where it went.',
  count_needs_scale: () => 'Say which scale it was counted on: it decides how far the count may be off.',
  count_off: (p: { countedG: Grams; bookG: Grams; differenceG: Grams; allowedG: Grams }, as: Notation) =>
    `Counted ${said.grams(p.countedG, as)}, the book says ${said.grams(p.bookG, as)}: `
    + `off by ${said.grams(p.differenceG, as)}, and the scales explain ${said.grams(p.allowedG, as)}. `
    + 'Count again, or say what happened.',
  file_empty: () => 'The file is empty. Choose another.',
  file_kind: () => 'This is no picture (JPEG, PNG, WebP) and no PDF. Take a photo, or save it as PDF.',
  still_curing: (p: { code: string }) => `${p.code} is still in the cure. End its cure in the Cold room first.`,
  still_in_smoke: (p: { code: string }) => `Pieces are still in ${p.code}. Pull it in the Smokehouse first.`,
  cooling_open: (p: { code: string }) =>
    `The cooling of ${p.code} is not recorded to its end. Enter its readings in the Smokehouse first.`,
  already_in_smoke: (p: { code: string }) => `A piece is already in ${p.code}. Pull that run first.`,
  lot_held: (p: { code: string; reason: HoldReason }, as: Notation) =>
    `${p.code} is held (${holdWords(p.reason, as)}). It goes nowhere until the owner decides on its page.`,
  lot_reworking: (p: { code: string; reason: HoldReason }, as: Notation) =>
    `${p.code} is being reworked (${holdWords(p.reason, as)}). Nothing was sent. The owner decides on its page what came of it.`,
  no_nitrite_stayed: (p: { code: string }) =>
    `${p.code} is cured without nitrite: its weight shows nothing of it. Nothing was recorded; tell the liquid as it was.`,
  lot_destroyed: (p: { code: string }) => `${p.code} was marked to be destroyed. It goes nowhere.`,
  not_pulled: (p: { code: string }) => `${p.code} is still in the smoke. Pull it before cooling is recorded.`,
  no_core_reading: (p: { code: string; belowC: Celsius }, as: Notation) =>
    `${p.code} has no core reading. Measure the core before you pull. `
    + `Only a smoke that aims for ${said.temperature(p.belowC, as)} or less needs none.`,
  in_the_future: (p: { row: number }) => `Row ${p.row} lies in the future. Check its date and the time zone.`,
  before_the_start: (p: { row: number }) => `Row ${p.row} lies before the run began. Check its date and the time zone.`,
  reading_twice: (p: { row: number }) =>
    `Row ${p.row} has the time of a reading that is already there. Leave it out or correct that one.`,
  ready_weight_missing: () => 'Weigh the slabs before slicing: without it nobody knows the yield.',
  packs_over_weight: (p: { outG: Grams; readyG: Grams; overG: Grams }, as: Notation) =>
    `Packs and offcuts come to ${said.meat(p.outG, as)}, ${said.meat(p.overG, as)} more than the ${said.meat(p.readyG, as)} that was `
    + 'ready to slice: that is no error of a scale. Nothing was recorded. Check the weights, and that the meat is this lot\'s.',
  packs_over_asked: (p: { outG: Grams; readyG: Grams; overG: Grams }, as: Notation) =>
    `Packs and offcuts come to ${said.meat(p.outG, as)}, ${said.meat(p.overG, as)} more than the ${said.meat(p.readyG, as)} that was `
    + 'ready to slice. Nothing was recorded. Weigh again, or say why it is so.',
  already_sent: (p: { code: string }) => `${p.code} was sent already. Take it off the list.`,
  rules_not_confirmed: () =>
    'The shop has not confirmed its rule set. The owner does that in the Office before anything goes out.',
  cannot_void: () => 'This kind of record cannot be voided. Correct the value, or record anew.',
  built_upon: (p: { record: number }) => `Record ${p.record} rests on this one. Void that one first.`,
  undo_too_late: () => 'Undo is for the first ten minutes. Void the record from its book, and say why.',
  sign_in_taken: (p: { signIn: string }) => `The sign-in name ${p.signIn} is taken. Choose another.`,
  password_common: () =>
    'This password is among the first that anyone would try. Take a longer one, a few words that do not belong together.',
  own_password_here: () =>
    'Your own password is changed in the Office, under “My password and PIN”, with the old one beside it.',
  password_wrong: () => 'This is not your password. Type it again.',
  no_pin: () => 'This person has no PIN. Choose one in the Office, signed in with the password.',
  not_shared: () => 'This device is not shared: what you record here is signed by you.',
  last_owner: () => 'The shop needs an owner. Make someone else an owner first.',
  no_such_page: () => 'There is no such page: a page is asked for by what stands last on the one before. '
    + 'Nothing is changed; open the room again.',
  csv_columns: (p: { columns: string }) =>
    `The columns are not clear: ${p.columns}. One must be the time, and one the core or the chamber.`,
  csv_empty: () => 'There is no reading in this file, only blank lines. Nothing was taken over.',
  csv_row: (p: { row: number; typed: string }) =>
    `Line ${p.row} cannot be read: ${p.typed}. Nothing was taken over; put that line right.`,
  csv_too_large: (p: { mostBytes: number }) =>
    `This file is larger than ${p.mostBytes / 1e6} MB. Cut it to the hours of the smoke.`,
  csv_too_many: (p: { count: number; most: number }) =>
    `${p.count} readings are more than the ${said.count(p.most)} one run takes. Cut the file to the hours of the smoke.`,
  pack_in_shop: (p: { code: string }) => `${p.code} is with no customer: nothing of it can come back. Its lot's page shows where it is.`,
  pack_came_back: (p: { code: string }) =>
    `${p.code} came back from a customer. It goes nowhere until the owner decides on its lot's page.`,
  pack_destroyed: (p: { code: string }) => `${p.code} came back and was destroyed. Take it off the list.`,
  not_matured: (p: { code: string; days: number; fromMs: Milliseconds; zone: string; source: string }, as: Notation) =>
    `${p.code} matures ${p.days} days after its cure by ${p.source}. `
    + `${p.fromMs > 0 ? `It may go out from ${said.moment(p.fromMs, p.zone, as)} on.` : 'Some of it still cures.'} Nothing was sent.`,
  against_plan: (p: {
    early: string
    day: number
    fromDay: number
    unheated: string
    short: string
    restedMs: Milliseconds
    leastMs: Milliseconds
  }) =>
    `${[
      p.early && `${p.early}: cure day ${p.day}, and its plan says out from day ${p.fromDay} on.`,
      p.unheated && `${p.unheated}: never heated as its plan has it; raw it is no cooked bacon, and is not sold as such.`,
      p.short && `${p.short}: rested ${formatSpan(p.restedMs)} where its plan has at least ${formatSpan(p.leastMs)}.`,
    ].filter(Boolean).join(' ')} Nothing was recorded. If it is meant so, say why: that stands in the book with it.`,
  not_cold_place: (p: { place: string }) =>
    `Nothing cures in ${p.place}: it is no cold place. Choose one that is, or let the Office say that meat lies cold in it.`,
  sent_stands: () =>
    'What was sent longer than ten minutes ago stays on record: whoever has the packs must be found. Nothing was changed. '
    + 'Was it another customer, set that right at the pack, on its lot\'s page; did one come back, tell it there too.',
  day_before_rub: (p: { day: string; code: string; fromDay: string }, as: Notation) =>
    `${said.date(p.day, as)} lies before ${p.code} was there (${said.date(p.fromDay, as)}). Nothing was recorded; type the day again.`,
  day_ahead: (p: { day: string; today: string }, as: Notation) =>
    `${said.date(p.day, as)} is still to come: today is ${said.date(p.today, as)}. Nothing was recorded; type the day again.`,
  secret_not_ours: () =>
    'This secret was not made here just now. Nothing was changed; begin again with “Set it up”.',
  code_unfit: () => 'This code does not fit now, or was used already. Wait for the next one and type that.',
}
