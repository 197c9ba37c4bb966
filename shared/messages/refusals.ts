import { said, type Words } from './params'
import type { HoldReason } from '../contracts/holds'
import { holdWords } from './holds'

const verdictFix: Words = (p, as) => {
  const ways = [
    Number(p.takeOffG) > 0 ? `take off ${said.grams(p, 'takeOffG', as)} of curing salt` : '',
    Number(p.addMeatG) > 0 ? `add ${said.meat(p, 'addMeatG', as)} of meat` : '',
  ]
    .filter(way => way !== '')
    .join(' or ')
  return ways === ''
    ? 'Weigh the curing salt again on a finer scale, or cure more meat at a time.'
    : `${ways[0]!.toUpperCase()}${ways.slice(1)}.`
}

/** Words for refusals by the shop's rules: what was wrong and the next step. */
export const REFUSAL_WORDS: Record<string, Words> = {
  invalid_input: p => `${said.plain(p, 'count')} entries need another look.`,
  rub_above_limit: (p, as) =>
    `${said.ppmBeside(p, 'ppm', 'maxPpm', as)} is above the limit of ${said.ppm(p, 'maxPpm', as)} (${said.plain(p, 'source')}). ${verdictFix(p, as)}`,
  rub_limit_not_shown: (p, as) =>
    `This may be up to ${said.ppmBeside(p, 'highPpm', 'maxPpm', as)}, and the limit is ${said.ppm(p, 'maxPpm', as)}: the weighing cannot show it is inside. ${verdictFix(p, as)}`,
  salt_only_too_weak: (p, as) =>
    `Under 1.8 % salt and no nitrite is not a cure. Weigh at least ${said.grams(p, 'leastG', as)} of salt.`,
  salt_already_exceeded: (p, as) =>
    `Curing salt and seasonings already bring ${said.grams(p, 'carriedG', as)} of salt, more than the ${said.grams(p, 'wantedG', as)} wanted; most comes with the ${said.plain(p, 'by')}. ${p.by === 'curing salt' ? 'Raise the salt or use a stronger curing salt.' : 'Take less of it, or raise the salt.'}`,
  nitrate_refused: p =>
    `${said.plain(p, 'name')} holds nitrate, which the rules of ${said.plain(p, 'jurisdiction')} do not allow here. Use curing salt no. 1 or a nitrite curing salt.`,
  nitrate_above_limit: (p, as) =>
    `${said.ppmBeside(p, 'ppm', 'maxPpm', as)} of nitrate is above the limit of ${said.ppm(p, 'maxPpm', as)} (${said.plain(p, 'source')}). Use curing salt no. 1, or less.`,
  agent_no_certificate: p =>
    `${said.plain(p, 'name')} has no certificate: without one nobody knows the ppm. Ask the supplier for it, or use curing salt no. 1.`,
  agent_expired: (p, as) =>
    `${said.plain(p, 'name')} was best before ${said.date(p, 'bestBefore', as)}: its nitrite is no longer what the label says. Open a lot that is in date.`,
  agent_long_dried_only: p =>
    `${said.plain(p, 'name')} is for whole muscle that dries for weeks: its nitrate is not used up in bacon. Use curing salt no. 1.`,
  mix_spiced_stored: (p, as) =>
    `${said.plain(p, 'name')} was mixed with seasonings on ${said.date(p, 'spicedOn', as)}: nitrite and spices are not stored together. Throw it away, and mix anew without them.`,
  agent_no_nitrite: p =>
    `${said.plain(p, 'name')} holds no nitrite that can be counted. Use curing salt no. 1, or cure with salt only.`,
  salt_iodised: p =>
    `${said.plain(p, 'code')} ${said.plain(p, 'name')} is iodised: it spoils flavour and colour. Use salt without iodine.`,
  ingredient_expired: (p, as) =>
    `${said.plain(p, 'code')} ${said.plain(p, 'name')} was best before ${said.date(p, 'bestBefore', as)}. Choose a lot that is in date.`,
  salt_missing: (p, as) =>
    `This cure needs ${said.grams(p, 'saltG', as)} of salt beside the curing salt. Weigh it and enter it.`,
  brine_too_strong: () => 'No brine holds that much salt: it is full at 26.4 %. Take more water, or less salt.',
  weighed_back_all: () => 'What is weighed back is as much as went on. Check the weight and the tub.',
  salt_slip: (p, as) =>
    `This comes to ${said.percent(p, 'share', as)} salt in all; the plan is ${said.percent(p, 'plannedShare', as)}. No measured cure lies outside ${said.percent(p, 'least', as)} to ${said.percent(p, 'most', as)}: check the unit and the point, and weigh the salt again.`,
  salt_off: (p, as) =>
    `This comes to ${said.percent(p, 'share', as)} salt in all, and the plan is ${said.percent(p, 'plannedShare', as)}: off by more than a fifth. If it is meant, type the salt's weight a second time.`,
  card_used: p => `${said.plain(p, 'code')} was rubbed already and stays as it is. Lay a new card.`,
  no_such_card: p => `There is no bench card ${said.plain(p, 'code')}. Check the code, or scan it again.`,
  no_such_recipe: () => 'This recipe is not in the book. Load the page again.',
  recipe_unchanged: p => `Nothing is different from revision ${said.plain(p, 'number')}. No new one was written.`,
  no_second_due: p => `${said.plain(p, 'code')} waits for no second application.`,
  second_other_agent: p =>
    `The first application was made with ${said.plain(p, 'code')}. Use the same curing salt for the second.`,
  nothing_to_weigh_back: p => `${said.plain(p, 'code')} was cured by a method that weighs nothing back.`,
  after_brine_weight: (p, as) =>
    `${said.meat(p, 'netG', as)} out of the brine does not fit ${said.meat(p, 'greenG', as)} that went in. Check the scale and the tub.`,
  residual_lab_always: p =>
    `Your authority wants a laboratory result for every lot: ${said.plain(p, 'code')} has none yet. Record it on the lot's page.`,
  residual_nitrate: p =>
    `${said.plain(p, 'code')} holds nitrate, or a curing salt without a certificate: only a laboratory shows what is left in the product. Record its result on the lot's page.`,
  residual_no_figure: p =>
    `The rules of ${said.plain(p, 'jurisdiction')} limit what is left in the product and the set has no figure for it: ${said.plain(p, 'code')} needs a laboratory result. Record it on the lot's page.`,
  residual_not_finished: p =>
    `${said.plain(p, 'code')} has no finished weight yet: without it nobody can say what is left in the product. Weigh it ready to slice, or record a laboratory result.`,
  residual_over: (p, as) =>
    `By its weights ${said.plain(p, 'code')} may hold up to ${said.ppmBeside(p, 'boundPpm', 'maxPpm', as)} in the product, and ${said.ppm(p, 'maxPpm', as)} is allowed. A laboratory result shows what it really holds; record it on the lot's page.`,
  no_such_rules: () => 'This rule set is not known. Load the page again.',
  rules_shipped: () => 'The sets that came with the program are not edited. Copy one into a set of your own.',
  mix_of_mix: p => `${said.plain(p, 'code')} is itself a mix. Make mixes from what came in.`,
  mix_lot_twice: p => `${said.plain(p, 'code')} is in this mix twice. Enter its whole weight once.`,
  mix_two_agents: () => 'Two curing salts in one mix cannot be kept apart. Use one.',
  mix_without_agent: () => 'There is no curing salt in this mix. Add it, or weigh salt and sugar at the bench.',
  mix_misses: (p, as) =>
    `For ${said.plain(p, 'kg')} kg this mix gives ${said.ppmBeside(p, 'ppm', 'wantedPpm', as)}, not ${said.ppm(p, 'wantedPpm', as)}. Check the weights.`,
  no_rule: p => `The rule set says nothing about ${said.plain(p, 'cut')}. Ask your inspector before you cure it.`,
  no_such_meat: p => `There is no meat ${said.plain(p, 'code')} in the store. Receive it first.`,
  no_such_ingredient: p => `There is no ingredient ${said.plain(p, 'code')} in the store. Receive it first.`,
  wrong_ingredient: p =>
    `${said.plain(p, 'code')} is ${said.plain(p, 'name')}, which cannot be used here. Choose another lot.`,
  cut_mismatch: p =>
    `${said.plain(p, 'code')} is ${said.plain(p, 'cut')}: another cut has another limit. Choose meat of one cut.`,
  rind_mismatch: p => `${said.plain(p, 'code')} came without rind. Set the lot to rind off.`,
  meat_used_up: (p, as) =>
    `Only ${said.meat(p, 'leftG', as)} of ${said.plain(p, 'code')} is left, and the pieces weigh ${said.meat(p, 'wantedG', as)}. Check the meat and the unit.`,
  ingredient_used_up: (p, as) =>
    `Only ${said.grams(p, 'leftG', as)} of ${said.plain(p, 'code')} is left. Choose another lot or check the weight.`,
  no_such_scale: () => 'This scale is not known. Choose one from the list.',
  no_such_thermometer: () => 'This thermometer is not known. Choose one from the list.',
  no_such_instrument: () => 'This instrument is not known. Load the page again.',
  wrong_check: () =>
    'This check is not for this instrument: a scale takes a check weight, a thermometer ice water or a reference.',
  name_taken: p => `${said.plain(p, 'name')} is taken. Choose another name.`,
  no_such_fridge: () => 'This fridge is not known. Choose one from the list.',
  arrival_too_warm: (p, as) =>
    `${said.temperature(p, 'tempC', as)} is too warm to take in. Send it back, or hold it and say why.`,
  meat_not_in: p =>
    `${said.plain(p, 'code')} is ${p.state === 'held' ? 'held until the owner decides' : p.state === 'refused' ? 'not here: it was sent back' : 'marked to be destroyed'}. Choose other meat.`,
  piece_gone: p => `Piece ${said.plain(p, 'label')} was cut up or is in a lot already. Load the page again.`,
  piece_heavier: (p, as) =>
    `Piece ${said.plain(p, 'label')} weighed ${said.meat(p, 'cutG', as)} when it was cut, and now ${said.meat(p, 'wantedG', as)}. Check the scale and the tub.`,
  cut_too_much: (p, as) =>
    `The parts come to ${said.meat(p, 'outG', as)}, more than the ${said.meat(p, 'fromG', as)} that was cut. Check the weights.`,
  cut_unaccounted: (p, as) =>
    `${said.meat(p, 'unaccountedG', as)} is not accounted for, over 1 %. Enter trim, bone and rind, or say in the note where it went.`,
  already_open: p => `${said.plain(p, 'code')} is open already.`,
  count_needs_scale: () => 'Say which scale it was counted on: it decides how far the count may be off.',
  count_off: (p, as) =>
    `Counted ${said.grams(p, 'countedG', as)}, the book says ${said.grams(p, 'bookG', as)}: off by ${said.grams(p, 'differenceG', as)}, and the scales explain ${said.grams(p, 'allowedG', as)}. Count again, or say what happened.`,
  file_empty: () => 'The file is empty. Choose another.',
  file_kind: () => 'This is no picture (JPEG, PNG, WebP) and no PDF. Take a photo, or save it as PDF.',
  file_too_large: () => 'The file is larger than 10 MB. Take a smaller photo.',
  no_such_file: () => 'This file is not kept here. Add it again.',
  no_such_address: () => 'There is nothing at this address. Load the page again.',
  no_such_table: p => `There is no table ${said.plain(p, 'name')}.`,
  no_such_party: () => 'This name is not in the list. Load the page again.',
  turned_just_now: p =>
    `${said.plain(p, 'who')} turned ${said.plain(p, 'code')} ${Number(p.minutes) < 1 ? 'just now' : `${said.plain(p, 'minutes')} min ago`}: that turn counts. No second one was added.`,
  cure_over: p => `${said.plain(p, 'code')} is out of the cure already.`,
  still_curing: p => `${said.plain(p, 'code')} is still in the cure. End its cure in the Cold room first.`,
  still_in_smoke: p => `Pieces are still in ${said.plain(p, 'code')}. Pull it in the Smokehouse first.`,
  cooling_open: p =>
    `The cooling of ${said.plain(p, 'code')} is not recorded to its end. Enter its readings in the Smokehouse first.`,
  already_in_smoke: p => `A piece is already in ${said.plain(p, 'code')}. Pull that run first.`,
  lot_held: (p, as) =>
    `${said.plain(p, 'code')} is held (${holdWords(p.reason as HoldReason, as)}). It goes nowhere until the owner decides on its page.`,
  lot_destroyed: p => `${said.plain(p, 'code')} was marked to be destroyed. It goes nowhere.`,
  not_pulled: p => `${said.plain(p, 'code')} is still in the smoke. Pull it before cooling is recorded.`,
  already_pulled: p => `${said.plain(p, 'code')} was pulled already.`,
  no_core_reading: (p, as) =>
    `${said.plain(p, 'code')} has no core reading. Measure the core before you pull. Only a smoke that aims for ${said.temperature({ c: 30 }, 'c', as)} or less needs none.`,
  in_the_future: p => `Row ${said.plain(p, 'row')} lies in the future. Check its date and the time zone.`,
  before_the_start: p => `Row ${said.plain(p, 'row')} lies before the run began. Check its date and the time zone.`,
  reading_twice: p =>
    `Row ${said.plain(p, 'row')} has the time of a reading that is already there. Leave it out or correct that one.`,
  ready_weight_missing: () => 'Weigh the slabs before slicing: without it nobody knows the yield.',
  packs_over_weight: (p, as) =>
    `Packs and offcuts come to ${said.meat(p, 'outG', as)}, more than the ${said.meat(p, 'readyG', as)} that was ready to slice. Check the weights.`,
  already_sent: p => `${said.plain(p, 'code')} was sent already. Take it off the list.`,
  rules_not_confirmed: () =>
    'The shop has not confirmed its rule set. The owner does that in the Office before anything goes out.',
  already_decided: () => 'This hold was decided already. Open the lot again to see how.',
  already_voided: () => 'This record was voided already.',
  cannot_void: () => 'This kind of record cannot be voided. Correct the value, or record anew.',
  built_upon: p => `Record ${said.plain(p, 'record')} rests on this one. Void that one first.`,
  undo_too_late: () => 'Undo is for the first ten minutes. Void the record from its book, and say why.',
  no_such_record: () => 'This record is not in the book.',
  key_reused: () => 'This entry was sent before with other figures. Open the page again and look what is recorded.',
  key_missing: () => 'The entry came without its key. Load the page again.',
  cross_site: () => 'This came from another site and was refused.',
  not_json: () => 'What was sent could not be read.',
  not_json_type: () => 'What was sent does not say that it is JSON. Load the page again.',
  too_deep: () => 'What was sent lies too deep inside itself to be read. Load the page again.',
  too_large: p =>
    `This is more than ${Number(p.bytes) >= 1e6 ? `${Number(p.bytes) / 1e6} MB` : `${Number(p.bytes) / 1000} kB`}. Send it in parts.`,
  not_signed_in: () => 'You are signed out. Sign in again; what you typed is kept on this device.',
  not_your_role: p => `As ${said.plain(p, 'role')} you can look but not do this. Ask the owner.`,
  sign_in_wrong: () => 'Name or password is wrong. Try again.',
  sign_in_closed: p => `Too many wrong tries. Wait ${said.plain(p, 'minutes')} minutes, then try again.`,
  sign_in_taken: p => `The sign-in name ${said.plain(p, 'signIn')} is taken. Choose another.`,
  password_common: () =>
    'This password is among the first that anyone would try. Take a longer one, a few words that do not belong together.',
  password_closed: p => `Too many wrong passwords here. Wait ${said.plain(p, 'minutes')} minutes, then try again.`,
  password_again: () => 'Give your own password once more for this. What you typed is kept.',
  own_password_here: () =>
    'Your own password is changed in the Office, under “My password and PIN”, with the old one beside it.',
  shown_once: () => 'This was done, but its answer was lost on the way and is shown only once. Begin anew.',
  code_needed: () => 'Type the six digits that your phone shows, or a recovery code.',
  code_wrong: () => 'This code does not fit now, or was used already. Wait for the next one and type that.',
  pin_spent: () =>
    'Too many wrong PINs in a row. Sign in once with your password on another device; then your PIN counts again.',
  setup_code_wrong: () =>
    'This is not the code that the start command printed. Look at the terminal where the shop was started.',
  setup_closed: () => 'A shop is opened with the code that the start command prints. Start it with npm start.',
  export_busy: () => 'Two exports or walks are under way already. Try again when one has ended.',
  disk_low: () =>
    'The shop\'s disk has less than 1 GB left: no photos are taken now, so that records still find room. Make room on it.',
  password_wrong: () => 'This is not your password. Type it again.',
  pin_needed: () => 'Sign with your PIN first. What you typed is kept.',
  pin_wrong: () => 'The PIN does not fit. Try again.',
  pin_closed: p =>
    `Too many wrong PINs. Wait ${said.plain(p, 'minutes')} minutes, or sign in with your password on another device.`,
  no_pin: () => 'This person has no PIN. Choose one in the Office, signed in with the password.',
  not_shared: () => 'This device is not shared: what you record here is signed by you.',
  own_sign_in_needed: () => 'This is not done with a PIN. Sign in with your own password on another device.',
  last_owner: () => 'The shop needs an owner. Make someone else an owner first.',
  no_such_person: () => 'This account is not known. Load the page again.',
  no_such_device: () => 'This device is signed out already.',
  shop_exists: () => 'This shop is already set up. Sign in instead.',
  clock_ahead: (p, as) =>
    `The shop's computer says it is ${said.moment(p, 'nowMs', as)}. The last record is ${said.plain(p, 'hours')} hours older. Set the clock right, or say that it is right.`,
  clock_off_database: (p, as) =>
    `This computer says it is ${said.moment(p, 'nowMs', as)}; the one that keeps the records is ${said.plain(p, 'hours')} hours off. Set the wrong clock right, or say that this one is right.`,
  database_lost: () => 'The records cannot be reached just now. What you typed is still here; try again in a moment.',
  disk_full: () =>
    'The shop\'s computer has no room left on its disk. What you typed is still here; make room, then press again.',
  our_fault: () => 'Something went wrong on our side. What you typed is still here; try again, then tell the owner.',
  offline: () =>
    'The shop\'s computer cannot be reached. What you typed is kept here; press again when the connection is back.',
  no_such_page: () => 'There is no such page: a page is asked for by what stands last on the one before. Nothing is changed; open the room again.',
  no_such_code: p => `Nothing has the code ${said.plain(p, 'code')}. Check it, or scan the label again.`,
  no_such_lot: p => `There is no lot ${said.plain(p, 'code')}. Check the code, or scan the label again.`,
  lot_voided: p =>
    `${said.plain(p, 'code')} was voided. Its records stay in the book: the Ledger shows them, with who and why.`,
  no_such_run: p => `There is no smoke ${said.plain(p, 'code')}. Check the code.`,
  no_such_piece: () => 'One of the pieces is not known. Load the page again.',
  no_such_pack: p => `There is no pack ${said.plain(p, 'code')}. Check the code.`,
  no_such_hold: () => 'This hold is not in the records.',
  no_such_reading: () => 'This reading is not in the records.',
  csv_columns: p =>
    `The columns are not clear: ${said.plain(p, 'columns')}. One must be the time, and one the core or the chamber.`,
  csv_empty: () => 'There is no reading in this file, only blank lines. Nothing was taken over.',
  csv_row: p =>
    `Line ${said.plain(p, 'row')} cannot be read: ${said.plain(p, 'typed')}. Nothing was taken over; put that line right.`,
  csv_too_large: () => 'This file is larger than 20 MB. Cut it to the hours of the smoke.',
  csv_too_many: p =>
    `${said.plain(p, 'count')} readings are more than the 5,000 one run takes. Cut the file to the hours of the smoke.`,
}
