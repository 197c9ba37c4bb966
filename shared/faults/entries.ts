import type { Fraction, Grams, Ppm } from '#core/units/quantities'
import {
  HANG_MOST_ACTIVITY,
  HANG_WARM_C,
  LEAST_SYRUP_SHARE,
  MOST_BLENDED_NITRITE_SHARE,
  MOST_MEASURED_SALT_SHARE,
  MOST_PIECES,
  MOST_READINGS,
  MOST_SEASONINGS,
} from '#core/rules/house'
import { LEAST_PASSWORD, MOST_LINES, MOST_PACKS, MOST_RECIPES, MOST_ROWS } from './sizes'
import { formatNumber, formatPercent, formatTemperature, type Notation } from '#core/units/format'
import { said } from './params'

/** Words for what was typed: what is wrong, and how to write it. */
export const ENTRIES = {
  empty: () => 'Nothing is entered here yet. Fill it in.',
  missing: () => 'This is missing. Fill it in or choose it.',
  foreign_digits: () => 'Write the figure with the digits 0 to 9.',
  not_a_number: () => 'This is not a number. Write it like 2.5 or 2,5.',
  ambiguous_comma: (p: { typed: string }) => `${p.typed} could be thousands or a decimal. Leave the comma out, or write kg.`,
  not_a_weight: () => 'This is not a weight. Write it like 1.98 kg, 1980, or 4 lb 6.5 oz.',
  not_positive: () => 'A weight must be more than 0.',
  ounces_over_16: (p: { ounces: number }) => `${p.ounces} oz is more than a pound. Ounces after pounds go up to 15.9.`,
  tare_above_gross: (p: { tareG: Grams; grossG: Grams }, as: Notation) =>
    `The tub (${said.meat(p.tareG, as)}) weighs more than the whole (${said.meat(p.grossG, as)}). `
    + 'Write the full weight first, then minus the tub.',
  tare_unit_missing: () => 'Write the unit of the tub\'s weight too, like 5 lb - 1 lb.',
  too_light: (p: { netG: Grams }, as: Notation) =>
    `${said.grams(p.netG, as)} is too light to be this. A bare number is grams: did you mean kg?`,
  too_heavy: (p: { netG: Grams }, as: Notation) => `${said.meat(p.netG, as)} is too heavy to be this. `
    + 'A bare number is grams; check the unit.',
  not_a_length: () => 'This is not a thickness. Write it like 40 mm, 4 cm, or 1.6 in.',
  length_range: (p: { typed: string }) => `${p.typed} is no thickness of a piece of meat. Check the figure and the unit.`,
  temperature_range: (p: { typed: string }) =>
    `${p.typed} is no temperature of a fridge, a smoker or meat. Check the figure and the unit.`,
  percent_range: (p: { typed: string; min: number; max: number }) => `${p.typed} is outside ${p.min} to ${p.max} %.`,
  number_range: (p: { min: number; max: number }) => `This must lie between ${p.min} and ${p.max}.`,
  control_characters: () => 'This holds characters that cannot be printed. Type it again.',
  ill_formed_text: () =>
    'This holds half a character, as when an emoji is cut in two. Delete the last sign and type it again.',
  hours_order: () => 'It cannot be over before it may be: the first figure of the two is the smaller.',
  rhythm_order: () => 'The rhythm begins on day 0, and each change of it on a later day than the one before.',
  end_before_ready: () => 'The last day comes before the first. Change one of them.',
  look_after_end: () => 'It is to be looked at after its cure is over. Look earlier, or give it more days.',
  adds_over: () => 'More than nine tenths of the mix is kept for later. Put more on at the rub.',
  add_after_end: () => 'Something is to go on after the cure is over. Put it on earlier, or give it more days.',
  slice_before_more: () => 'Sliced meat is only frozen after that: move slicing behind the rest.',
  rinse_not_first: () => 'A rinse comes first, right after the cure. For water later on take a soak.',
  smoke_on_wet: () =>
    'Smoke on a wet surface turns sour and sooty: nothing dries it after its last water. '
    + 'Put drying before the smoke, or say that it is meant.',
  not_yet_happened: () => 'This lies ahead. Say when it was done, or wait until it is.',
  late_reason_missing: () => 'This was more than a day ago. Say in a few words why it is told now.',
  lot_twice: () => 'A lot is named twice here. Name it once, with all its pieces.',
  drained_over: (p: { code: string; drainedG: Grams; greenG: Grams }, as: Notation) =>
    `${said.meat(p.drainedG, as)} of liquid is more than ${p.code} weighs (${said.meat(p.greenG, as)}). Check the figure and the unit.`,
  nothing_put_on: () => 'Nothing is named that went on. Choose it, and say how much.',
  one_lot_a_put: () => 'What goes on is told lot by lot: each has its own weights. Tell it once for each.',
  one_lot_an_order: () => 'How a stack lies is told lot by lot. Tell it once for each.',
  piece_twice: () => 'A piece stands twice in this order. Tap each once, from the bottom up.',
  agent_by_eye: (p: { name: string }) =>
    `${p.name} is curing salt: it is weighed, never put on by eye. Weigh it and enter it. `
    + 'If it lies on the meat unweighed, hold the lot by hand and ask your owner.',
  agent_on_salt_only: (p: { code: string }) =>
    `${p.code} is cured with salt only: nitrite makes another cure of it. `
    + 'Take plain salt; if it lies on the meat already, say so, and the lot waits for the owner.',
  add_over: (p: { code: string; highPpm: Ppm; maxPpm: Ppm; source: string }, as: Notation) =>
    `With it ${p.code} may hold up to ${said.ppmBeside(p.highPpm, p.maxPpm, as)}, `
    + `and the limit is ${said.ppm(p.maxPpm, as)} (${p.source}). Put on less. `
    + 'If it lies on the meat already, say so: it is recorded, and the lot waits for the owner.',
  add_unweighed: (p: { code: string }) =>
    `This mix holds nitrite: put on without a weight, nobody can say how much ${p.code} holds. Weigh it. `
    + 'If it lies on the meat already, say so: it is recorded, and the lot waits for the owner.',
  add_too_salty: (p: { code: string; share: Fraction }, as: Notation) =>
    `With it ${p.code} comes to ${said.percent(p.share, as)} salt, outside what a measured cure can have. `
    + 'Check the unit and the point. If it lies on the meat already, say so: it is recorded, '
    + 'and the lot waits for the owner.',
  drained_much: (p: { code: string; drainedG: Grams; greenG: Grams }, as: Notation) =>
    `${said.meat(p.drainedG, as)} of liquid is much for ${said.meat(p.greenG, as)} of meat (${p.code}). `
    + 'Check it; if it is so, say that you are sure.',
  no_parts: () => 'A piece is cut into one part at least. Weigh what is left of it.',
  too_many_parts: () => 'These are more parts than one press takes. Cut it in two steps.',
  nothing_cut: () => 'One part and nothing off it is no cut. Weigh the other part, or what came off.',
  one_piece_a_cut: () => 'A cut is told piece by piece: each has its own weights. Choose the one piece that was cut.',
  weighed_one_way: () => 'Say what all of it weighs together, or each by itself: one of the two.',
  one_lot_a_weighing: () => 'Pieces that are weighed one by one are told lot by lot. Tell it once for each.',
  hook_twice: () => 'Two pieces hang on one hook. Give each its own.',
  hook_taken: (p: { hook: string; code: string; piece: string }) =>
    `On ${p.hook} hangs piece ${p.piece} of ${p.code} already. Choose another hook.`,
  no_hanging_place: (p: { place: string }) =>
    `${p.place} is no place to hang meat in. Choose another, or let the owner say in the Office that meat hangs there.`,
  hangs_not_there: (p: { place: string }) =>
    `It hangs, and ${p.place} is no place to hang meat in. `
    + 'Say what it does there: tell that it rests or dries, or start its heat in the Smokehouse.',
  hang_salt_only: (p: { code: string; place: string; placeC: number }, as: Notation) =>
    `${p.code} has no nitrite, and ${p.place} is at ${formatTemperature(p.placeC, as)}: without it, `
    + `warm and slow is where poison grows. Keep it at ${formatTemperature(HANG_WARM_C, as)} or colder; `
    + 'if it is there already, say so and the owner decides.',
  hang_salt_unknown: (p: { code: string; place: string; placeC: number }, as: Notation) =>
    `How much salt the meat of ${p.code} holds is not known: a salt box, a pick-up, a long soak, `
    + `or liquid that nobody saw. At ${formatTemperature(p.placeC, as)} (${p.place}) that is not safe. `
    + `Hang it at ${formatTemperature(HANG_WARM_C, as)} or colder, or measure its water activity with a meter; `
    + 'if it hangs there already, say so and the owner decides.',
  hang_wet: (p: { code: string; place: string; placeC: number; activity: number; lost: number; needs: number }, as: Notation) =>
    `${p.code} is still too wet for ${formatTemperature(p.placeC, as)} (${p.place}): `
    + `estimated water activity ${formatNumber(p.activity, 3, as.decimal)}, `
    + `it should be ${formatNumber(HANG_MOST_ACTIVITY, 2, as.decimal)} or less. `
    + `Hang it at ${formatTemperature(HANG_WARM_C, as)} or colder until it lost about `
    + `${formatPercent(p.needs, as, 0)} of its green weight, weigh it, and go on; `
    + 'a meter’s reading overrides the estimate.',
  ready_weight_twice: (p: { code: string }) =>
    `These pieces of ${p.code} were weighed ready before. Leave the weight out, or choose only pieces that come to the table now.`,
  all_sliced: (p: { code: string }) => `Nothing of ${p.code} is left to slice: all its pieces were sliced to the `
    + 'end. If a slicing is wrong, void it in the book and tell it again.',
  weighed_above_last: (p: { code: string; netG: Grams; lastG: Grams }, as: Notation) =>
    `${said.meat(p.netG, as)} is more than it weighed last (${p.code}: ${said.meat(p.lastG, as)}), `
    + 'and what hangs gets lighter. Take off hook and string and weigh again; if it is so, say that you are sure.',
  tag_twice: () => 'Two parts have the same tag. Give each its own.',
  part_weight: (p: { part: string }) =>
    `The weight of ${p.part} is that of its cut. Void the cut with a reason, and tell it again with the right weights.`,
  cut_impossible: (p: { code: string; allG: Grams; mostG: Grams }, as: Notation) =>
    `Parts and offcuts come to ${said.meat(p.allG, as)}, and ${p.code} cannot give more than ${said.meat(p.mostG, as)}. `
    + 'Nothing was recorded; type the weights again.',
  cut_heavier: (p: { code: string; allG: Grams; mostG: Grams }, as: Notation) =>
    `Parts and offcuts come to ${said.meat(p.allG, as)}, more than the piece weighed (${p.code}: `
    + `${said.meat(p.mostG, as)}). Take off the tray and weigh again; if it is so, say that you are sure.`,
  cut_missing: (p: { code: string; missingG: Grams; wholeG: Grams }, as: Notation) =>
    `Of ${said.meat(p.wholeG, as)} (${p.code}) ${said.meat(p.missingG, as)} are in no part and no offcut. `
    + 'Weigh what is missing; if it is so, say that you are sure.',
  tag_taken: (p: { tag: string; number: number | string }) =>
    `Piece ${p.number} of this lot has the tag “${p.tag}” already. Take another, or take it off that piece first.`,
  check_empty: () => 'A list needs at least one thing to look at. Write it down first.',
  check_twice: () => 'One thing on the list is ticked twice. Load the page again.',
  check_partly: (p: { missing: string }) => `Not ticked: ${p.missing}. Do it, or say in the note why not; then it is asked for again.`,
  not_checked: (p: { names: string }) =>
    `Not looked at, or not lately: ${p.names}. Nothing is recorded yet. `
    + 'Go through the list first; if it has to go on without, say so, and the record says it.',
  fry_without_soak: (p: { code: string }) =>
    `Nobody has told that ${p.code} was in the water; nothing is recorded yet. `
    + 'Was it, tell the soak first, with its hour. Tasted without one, say so.',
  weighed_more: (p: { code: string; netG: Grams; mostG: Grams }, as: Notation) =>
    `${said.meat(p.netG, as)} is more than the meat and all its cure weighed (${p.code}: `
    + `${said.meat(p.mostG, as)}). Take off the tray or the bag, choose the pieces that lay on the scale, `
    + 'and weigh again.',
  stands_with_others: () =>
    'What this record tells is kept in more than one place, so it cannot be set right here; it stays as it is. '
    + 'Void it with a reason, and tell it again.',
  reason_missing: () => 'Say why, in a few words.',
  not_a_date: () => 'This is not a date. Choose the day.',
  not_a_code: () => 'This is not a code. Codes look like L-0042.',
  too_small: () => 'This is too short or too small. Enter more.',
  too_short: () => 'This is too short. Write it out.',
  too_great: () => 'This is too great. Look at the figure and its unit, and enter less.',
  longer_than: (p: { most: number }) => `This is longer than ${p.most} letters. Shorten it.`,
  more_than: (p: { most: number }) => `These are more than ${p.most} at a time. Take some off, and enter them after.`,
  ago_too_far: () => 'Minutes ago reach back one day. What was done before that, tell with its day and hour.',
  not_in_list: () => 'This is not one of the choices. Choose from the list.',
  not_in_form: () => 'This is not written in a way we can read. Type it again.',
  unknown_field: () => 'There is a field here that does not belong. Load the page again.',
  password_short: () => `A password needs ${LEAST_PASSWORD} characters or more.`,
  sign_in_letters: () => 'A sign-in name has letters, digits, dots, dashes and @ only.',
  pin_digits: () => 'A PIN has four to six digits.',
  pin_easy: () => 'This PIN is the first that anyone would try. Choose one that is not a run or one digit.',
  code_digits: () => 'The code has six digits. Read it off your phone again.',
  law_missing: () => 'Choose the law that your shop stands under. Ask your inspector if you are not sure.',
  unknown_zone: () => 'This time zone is not known. Choose one from the list.',
  certificate_missing: () => 'Curing salt needs its certificate: without it nobody knows the ppm.',
  arrival_reason: () => 'Say why: what was poor, and why it waits, went back or was taken all the same.',
  no_lines: () => 'There is no cut yet. Add the first.',
  too_many_lines: () => `More than ${MOST_LINES} cuts in one delivery. Record them in two.`,
  no_pieces: () => 'There is no piece yet. Enter a weight first.',
  too_many_pieces: () => `More than ${MOST_PIECES} pieces. Make two lots of it.`,
  agent_missing: () => 'Choose the curing salt, or mark the lot salt only.',
  agent_in_salt_only: () => 'A salt-only lot takes no curing salt.',
  best_by_before_ready: () => 'Best by must not come before ready from.',
  reading_empty: () => 'Enter the chamber or the core.',
  place_reading_empty: () => 'Enter the temperature, the humidity, or both.',
  no_readings: () => 'There is no reading here yet.',
  too_many_readings: () => `More than ${said.count(MOST_READINGS)} readings at once. Send them in parts.`,
  too_many_packs: () => `More than ${MOST_PACKS} packs at once. Record them in parts.`,
  nothing_to_record: () => 'Enter a weight, a pack or an offcut first.',
  no_packs: () => 'Choose at least one pack.',
  nitrite_missing: () => 'The certificate must name the nitrite: without it nobody knows the ppm.',
  nitrite_too_strong: () =>
    `Over ${said.limit(MOST_BLENDED_NITRITE_SHARE)} nitrite is no blended curing salt. Check the certificate, or choose potassium nitrite.`,
  more_than_whole: () => 'These shares come to more than 100 %. Check them.',
  salt_share_high: () =>
    `Over ${said.limit(MOST_MEASURED_SALT_SHARE)} salt is no measured cure. Check the figure, or choose the excess method.`,
  not_excess: () => 'Only an excess cure is weighed back. Clear this, or choose the excess method.',
  syrup_thin: () =>
    `Under ${said.limit(LEAST_SYRUP_SHARE)} sugar this is no syrup. Check the label, or receive it as a seasoning.`,
  sides_empty: () => 'At least one side must get some of the mix.',
  too_many_seasonings: () => `More than ${MOST_SEASONINGS} seasonings. Mix some of them beforehand.`,
  mix_too_few: () => 'A mix has at least two ingredients.',
  floor_above_max: (p: { floorPpm: Ppm }, as: Notation) =>
    `The floor of ${said.ppm(p.floorPpm, as)} as NaNO2 leaves no room under this. `
    + 'Give the row a least of its own, or the set another floor.',
  min_above_max: () => 'The least is above the most. Check both.',
  basis_of_compound: () => 'Nitrate is counted as NaNO3, nitrite as NaNO2, as the ion or as residue.',
  no_rows: () => 'A rule set needs at least one row for nitrite.',
  too_many_rows: () => `More than ${MOST_ROWS} rows. Leave out what this shop does not make.`,
  target_outside_house: () => 'The target lies outside your own limits. Change one of them.',
  not_a_recipe_file: () => 'This is not a file of recipes that we can read. Nothing was taken over.',
  no_recipes: () => 'There is no recipe in this file.',
  too_many_recipes: () => `More than ${MOST_RECIPES} recipes at once. Take them in parts.`,
  draft_too_long: () => 'This bench is too full for a card. Take off some pieces.',
  not_an_amount: (p: { typed: string }) =>
    `${p.typed} is not an amount. Write it like 2 tsp, 1 1/2 cups, 3 oz, or 2 tsp per 3 kg.`,
  unknown_unit: (p: { unit: string }) => `“${p.unit}” is not a measure we know. Use cup, tbsp, tsp, oz, lb, g, kg or ml.`,
  amount_range: () => 'An amount must be more than 0.',
  piece_not_here: () => 'One of the pieces is not known. Load the page again.',
}
