import { STARTER_PLANS } from '#core/plan/starters'
import { describe, expect, it } from 'vitest'
import { DEFAULT_NOTATION } from '#core/units/format'
import { EVENT_KINDS, type EventKind } from '#shared/contracts/event-kinds'
import type { EventView } from '#shared/contracts/events'
import { eventWords } from './event-words'

/** One record of each kind, as the services write them. */
const RECORDS: Record<EventKind, [typed: unknown, computed: unknown, words: string]> = {
  shop_opened: [{ shopName: 'Shed' }, {}, 'Shop opened: Shed.'],
  person_added: [{ name: 'Ben', role: 'maker' }, {}, 'Account added: Ben, maker.'],
  person_changed: [
    { name: 'Ben', role: 'owner', active: true },
    { before: { name: 'Ben', role: 'maker' } },
    'Account of Ben (maker) changed: Ben, owner, open.',
  ],
  password_reset: [{ person: 'Ben' }, {}, 'New password given to Ben.'],
  password_changed: [{ person: 'Ben' }, {}, 'Ben changed their password.'],
  pin_chosen: [{ person: 'Ben' }, {}, 'Ben chose a PIN.'],
  password_rehashed: [{ person: 'Ada' }, {}, 'Ada\'s password is kept by a stronger hash from now on.'],
  recovery_code_used: [{ person: 'Ada' }, { left: 7 }, 'Ada signed in with a recovery code; 7 left.'],
  second_factor_set: [{ person: 'Ada' }, {}, 'Ada signs in with a second factor from now on.'],
  second_factor_dropped: [{ person: 'Ada' }, {}, 'Ada signs in without a second factor from now on.'],
  name_closed: [
    { signIn: 'ada' },
    { address: '10.0.0.7', minutes: 15 },
    'Too many wrong passwords for ada from 10.0.0.7: closed there for 15 minutes.',
  ],
  shop_exported: [{}, {}, 'The whole shop was taken along as a file.'],
  own_device_ended: [{ station: 'old phone' }, {}, 'Signed out from elsewhere: old phone.'],
  calendar_linked: [{ person: 'Tam' }, {}, 'Tam made an address for their calendar.'],
  calendar_ended: [{ person: 'Tam' }, {}, 'Tam ended the address of their calendar.'],
  step: [
    { steps: [{ kind: 'turn', how: 'massaged', face: null }] },
    { happenedMs: 0, lateMs: 0, places: {}, steps: [{ id: 1, lot: 'L-0007', kind: 'turn', pieces: [2] }] },
    'Massaged. L-0007: piece 2.',
  ],
  device_ended: [{ station: 'Wall' }, {}, 'Signed out by the owner: Wall.'],
  rules_confirmed: [
    { confirmedBy: 'Ada', confirmedOn: '2026-11-01', reference: 'folder' },
    {},
    'Rule set confirmed by Ada on 2026-11-01 (folder).',
  ],
  scale_added: [{ name: 'Fine', readabilityG: 0.1 }, {}, 'Scale added: Fine, reads to 0.1 g.'],
  instrument_added: [{ kind: 'thermometer', name: 'Probe' }, {}, 'Thermometer added: Probe.'],
  instrument_changed: [
    { name: 'Probe', everyDays: 14, inUse: false },
    {},
    'Instrument changed: Probe, checked every 14 days, out of use.',
  ],
  instrument_checked: [
    {},
    { instrument: 'Probe', is: 'thermometer', error: 0.8, passed: true, offsetC: 0.8 },
    'Probe checked: off by +0.8 °C, passed; from now on the offset is taken off.',
  ],
  fridge_changed: [{ name: 'Big' }, {}, 'Fridge changed: Big.'],
  fridge_added: [{ name: 'Big' }, {}, 'Fridge added: Big.'],
  meat_received: [
    {
      cut: 'belly',
      weight: { typed: '4 lb 6 oz' },
      temperature: { typed: '38 F' },
      supplier: 'North',
      supplierLot: 'N1',
    },
    {},
    'Received belly, “4 lb 6 oz”, at “38 F”, from North, their lot N1.',
  ],
  delivery_received: [
    {
      supplier: 'North',
      document: 'N 12',
      lines: [
        { cut: 'belly', weight: { typed: '8 kg' }, temperature: { typed: '3 °C' } },
        { cut: 'jowl', weight: { typed: '2 kg' }, temperature: { typed: '9 °C' }, reason: 'sour' },
      ],
    },
    {
      meat: [
        { code: 'M-0001', state: 'in' },
        { code: 'M-0002', state: 'refused' },
      ],
    },
    'Delivery from North, N 12: M-0001 belly “8 kg” at “3 °C”; M-0002 jowl “2 kg” at “9 °C”, sent back: sour.',
  ],
  meat_cut: [
    { kind: 'bone', pieces: [{ typed: '3 kg' }, { typed: '2.9 kg' }], bone: { typed: '700' } },
    { from: '1', labels: ['1.1', '1.2'], unaccountedG: 30 },
    'Boned 1: 1.1 “3 kg”, 1.2 “2.9 kg”; bone “700”; 30 g unaccounted.',
  ],
  ingredient_opened: [{}, {}, 'Opened.'],
  stock_moved: [{ kind: 'unassigned', amount: { typed: '6 g' } }, {}, 'Used without a lot: “6 g”.'],
  stock_counted: [
    { counted: { typed: '240 g' } },
    { bookG: 243.8, differenceG: -3.8, off: true },
    'Counted “240 g”; the book said 243.8 g, off by −3.8 g, more than the scales explain.',
  ],
  party_added: [{ kind: 'customer', name: 'Corner' }, {}, 'Customer added: Corner.'],
  party_changed: [
    { name: 'Corner Shop', contact: '12 Lane', approval: null, note: null },
    { before: { name: 'Corner' } },
    'Corner changed: Corner Shop, 12 Lane.',
  ],
  ingredient_received: [
    { name: 'No. 1', amount: { typed: '1 kg' }, supplier: 'Dry', supplierLot: 'D1' },
    {},
    'Received No. 1, “1 kg”, from Dry, their lot D1.',
  ],
  lot_rubbed: [
    { pieces: [{ weight: { typed: '1840' } }, { weight: { typed: '2 kg' } }] },
    { judgement: { lot: { ppm: 149.7 } } },
    'Rubbed: 2 pieces (1840, 2 kg), 150 ppm.',
  ],
  turned: [{}, {}, 'Turned, all pieces.'],
  turn_voided: [{}, {}, 'A turn was voided.'],
  drained: [{}, {}, 'Drained.'],
  cure_ended: [{}, {}, 'Out of the cure, rinsed.'],
  piece_tagged: [{ tag: 'red string' }, { pieceId: 4, number: 2, before: null }, 'Piece 2 tagged “red string”.'],
  check_list_added: [
    { name: 'Smoker looked into', items: ['soot', 'drip tray'] },
    { id: 1 },
    'List added: Smoker looked into (soot; drip tray).',
  ],
  check_list_changed: [
    { name: 'Smoker looked into', items: ['soot'], inUse: false },
    { id: 1, before: { name: 'Smoker', items: ['soot', 'drip tray'] } },
    'List changed: Smoker looked into (soot), put away.',
  ],
  place_checked: [
    { list: 'Smoker looked into', place: 'Brick smoker', done: [0], cleanedWith: 'hot water', note: 'tray next time' },
    { checkId: 4, passed: false, done: ['soot'], missing: ['drip tray'] },
    'Smoker looked into, Brick smoker: soot; NOT done: drip tray, with hot water, “tray next time”.',
  ],
  place_added: [{ name: 'Shed', kind: 'garage' }, { id: 4, code: 'F-0004' }, 'Garage added: Shed.'],
  place_changed: [
    { name: 'Shed', kind: 'cold_room', inUse: false },
    { id: 4, before: { name: 'Shed' } },
    'Place changed: Shed, cold room, out of use.',
  ],
  plan_changed: [
    { plan: { ...STARTER_PLANS.bags, cure: { ...STARTER_PLANS.bags.cure, pourOffEveryDays: 1 } }, pieces: [8], reason: 'wet fridge' },
    { planId: 1, lotId: 1, before: STARTER_PLANS.bags, assumed: false, pieces: [2] },
    'Plan for piece 2: liquid kept becomes liquid poured off daily.',
  ],
  place_read: [
    { place: 'Loft', temperature: '12.5 °C', humidity: '78 %' },
    { placeId: 4, lateMs: 3 * 3_600_000 },
    'Loft read “12.5 °C” and “78 %” humidity. Told 3 h later.',
  ],
  fridge_read: [{ fridge: 'Big', temperature: '3.1 °C' }, {}, 'Big read “3.1 °C”.'],
  run_started: [{ smoker: 'Brick' }, { targetCoreC: 63 }, 'Into the smoke, Brick; target core 63.0 °C.'],
  run_read: [{ readings: [1, 2], phase: 'cool', source: 'csv' }, {}, '2 cooling readings from CSV.'],
  run_pulled: [{}, { hottestC: 64.2 }, 'Pulled; hottest core 64.2 °C.'],
  sliced: [
    { packs: [1, 2], readyWeight: { typed: '3.5 kg' } },
    { outG: 3400 },
    'Sliced: 2 packs, ready to slice “3.5 kg”; 3.400 kg in all.',
  ],
  sent: [{ packCodes: ['P-1', 'P-2'], customer: 'Corner' }, {}, '2 packs sent to Corner.'],
  second_applied: [
    {},
    { judgement: { lot: { ppm: 148.2 }, meaning: 'upper_bound' } },
    'Second application; now up to 148 ppm.',
  ],
  weighed_after: [
    { weight: { typed: '210 g' } },
    { method: 'excess', judgement: { lot: { ppm: 131 }, meaning: 'upper_bound' } },
    'Weighed back: “210 g”; now up to 131 ppm.',
  ],
  lab_result: [
    { residual: 48, laboratory: 'Fen Lab', report: 'F-12' },
    { maxPpm: 200 },
    'Laboratory: 48 ppm left in the product (Fen Lab, F-12), 200 ppm allowed.',
  ],
  mix_made: [
    { name: 'House mix', forKg: 30 },
    { massG: 1042, ppm: 150 },
    'Mixed House mix, 1.042 kg, for 30 kg at 150 ppm.',
  ],
  recipe_written: [
    { recipe: { name: 'House streaky' }, note: 'less sugar' },
    { number: 2 },
    'Recipe House streaky, revision 2: less sugar.',
  ],
  recipe_retired: [{ retired: true }, {}, 'Recipe put away.'],
  recipes_imported: [{}, { codes: ['R-0011', 'R-0012'] }, '2 recipes from a file.'],
  card_laid: [{}, {}, 'Bench laid out.'],
  rules_chosen: [{ targetPpm: 110 }, { jurisdiction: 'Canada' }, 'Rule set in force: Canada; target 110 ppm.'],
  rules_written: [{ jurisdiction: 'Valley code', rows: [1, 2] }, {}, 'Own rule set written: Valley code, 2 rows.'],
  pack_returned: [
    { pack: 'P-0007', reason: 'bag open', place: 'Reach-in' },
    { customer: 'Corner shop' },
    'P-0007 came back from Corner shop: bag open. It lies in Reach-in.',
  ],
  return_decided: [
    { pack: 'P-0007', disposition: 'destroy', text: 'smelled' },
    {},
    'Owner decided on P-0007, which came back: destroy.',
  ],
  corrected: [
    {},
    { about: 'L-0001 / 2', from: '2.98 kg', to: '2.89 kg' },
    'Corrected L-0001 / 2: “2.98 kg” to “2.89 kg”.',
  ],
  voided: [{ kind: 'turned' }, {}, 'Voided: the turn.'],
  held: [{}, { reason: 'fridge_warm' }, 'Held: fridge above 7 °C for over 2 h.'],
  rows_sealed: [
    {},
    { rows: 812, found: 2 },
    '812 rows of the shop sealed as they stand; 2 were not as the book said before.',
  ],
  rules_changed: [
    {},
    { rule: 'places_read', fromMs: 0 },
    'A newer version judges by more: from now on a place with meat in it is to be read, and what lies unread for too long '
    + 'is held.',
  ],
  steps_settled: [
    {},
    { settled: [{ kind: 'move', eventId: 12 }], left: [{ kind: 'heat', eventId: null }] },
    'Set right what contradicted itself, and where the pieces stand. Counts no more, because it cannot be: '
    + 'moved (record 12). Left, because it stands with others: put into the smoke.',
  ],
  disposed: [{ disposition: 'release' }, { hold: 'cooling_late' }, 'Owner decided on “cooled too slowly”: release.'],
}

describe('records in the book', () => {
  it('a logger\'s readings are counted, told one by one or not', () => {
    const told = (typed: unknown) =>
      eventWords({ kind: 'run_read', typed, computed: {} } as EventView, DEFAULT_NOTATION)
    expect(told({ count: 4800, phase: 'smoke', source: 'csv', fromMs: 0, toMs: 1 })).toBe(
      '4800 smoke readings from CSV.',
    )
    expect(told({ count: 9000, phase: 'cool', source: 'csv' })).toBe('9000 cooling readings from CSV.')
  })
  it.each(EVENT_KINDS)('%s', (kind) => {
    const [typed, computed, words] = RECORDS[kind]
    expect(eventWords({ kind, typed, computed } as EventView, DEFAULT_NOTATION)).toBe(words)
  })
  it('an upgrade says what it newly held, and why', () => {
    const told = (held: unknown) =>
      eventWords(
        { kind: 'rules_changed', typed: {}, computed: { rule: 'lots_judged', from: null, to: '0.6', held } } as EventView,
        DEFAULT_NOTATION,
      )
    expect(told([])).toBe('Judged afresh by the rules of 0.6: nothing is newly held.')
    expect(told([{ code: 'L-0003', reasons: ['cooling_late'] }, { code: 'L-0007', reasons: ['by_hand'] }])).toBe(
      'Judged afresh by the rules of 0.6: held L-0003 (cooled too slowly) and L-0007 (held by hand).',
    )
  })
  it('a long lot names its first pieces and says that there are more', () => {
    const pieces = Array.from({ length: 40 }, (_, i) => ({ weight: { typed: String(1000 + i) } }))
    const words = eventWords(
      { kind: 'lot_rubbed', typed: { pieces }, computed: { judgement: { lot: null } } } as unknown as EventView,
      DEFAULT_NOTATION,
    )
    expect(words).toBe('Rubbed: 40 pieces (1000, 1001, 1002, 1003, 1004, 1005, …), salt only.')
  })
})
