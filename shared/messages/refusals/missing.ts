/**
 * Refusals where nothing is there under what was asked for: in an address it answers 404, in a field it is a fault of
 * the field.
 */
export const MISSING = {
  no_such_card: (p: { code: string }) => `There is no bench card ${p.code}. Check the code, or scan it again.`,
  no_such_recipe: () => 'This recipe is not in the book. Load the page again.',
  no_such_rules: () => 'This rule set is not known. Load the page again.',
  no_such_meat: (p: { code: string }) => `There is no meat ${p.code} in the store. Receive it first.`,
  no_such_ingredient: (p: { code: string }) => `There is no ingredient ${p.code} in the store. Receive it first.`,
  no_such_return: () => 'This return is not known any more. Load the page again.',
  no_such_scale: () => 'This scale is not known. Choose one from the list.',
  no_such_thermometer: () => 'This thermometer is not known. Choose one from the list.',
  no_such_hygrometer: () => 'This hygrometer is not known. Choose one from the list.',
  no_such_instrument: () => 'This instrument is not known. Load the page again.',
  no_such_fridge: () => 'This fridge is not known. Choose one from the list.',
  no_calendar_link: () => 'No calendar has this address, or it was ended. Make a new one in the Office.',
  no_such_file: () => 'This file is not kept here. Add it again.',
  no_such_address: () => 'There is nothing at this address. Load the page again.',
  no_such_table: (p: { name: string }) => `There is no table ${p.name}. Choose one in the Office.`,
  no_such_party: () => 'This name is not in the list. Load the page again.',
  no_such_record: () => 'This record is not in the book. Load the page again.',
  no_such_person: () => 'This account is not known. Load the page again.',
  no_such_device: () => 'This device is signed out already. Nothing is left to do.',
  no_such_code: (p: { code: string }) => `Nothing has the code ${p.code}. Check it, or scan the label again.`,
  no_such_lot: (p: { code: string }) => `There is no lot ${p.code}. Check the code, or scan the label again.`,
  lot_voided: (p: { code: string }) =>
    `${p.code} was voided. Its records stay in the book: the Ledger shows them, with who and why.`,
  no_such_run: (p: { code: string }) => `There is no smoke ${p.code}. Check the code.`,
  no_such_list: () => 'This list is not known. Load the page again.',
  no_such_place: () => 'This place is not known. Choose one from the list.',
  no_such_piece: () => 'One of the pieces is not known. Load the page again.',
  no_such_pack: (p: { code: string }) => `There is no pack ${p.code}. Check the code.`,
  no_such_hold: () => 'This hold is not in the records. Load the page again.',
  no_such_reading: () => 'This reading is not in the records. Load the page again.',
  no_such_entry: () => 'What is to be corrected is not there. Load the page again.',
}
