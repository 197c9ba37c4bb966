import { afterAll, afterEach, beforeAll, expect, it } from 'vitest'
import { localDay } from '#core/calendar/local-day'
import type { PlanStarter } from '#core/plan/starters'
import { turningDate } from '#core/turning/turning-day'
import { axeByDayAndNight } from '../support/axe'
import { choose, click, press, says, type, until, type Visit } from '../support/browser'
import { rowSays, tap } from '../support/rows'
import * as schools from '../support/schools'
import { DAY, type Heated, type Rubbed, type Schools } from '../support/schools'
import { ZONE, type TestShop } from '../support/shop'

let here: Schools
let shop: TestShop
let visit: Visit

beforeAll(async () => {
  here = await schools.openSchools()
  ;({ shop, visit } = here)
})
afterEach(() => expect(visit.faults).toEqual([]))
afterAll(async () => {
  await visit.close()
  await shop.close()
})
/** Turned now, it is turned again tomorrow; before four the turn was yesterday's, and the next is today's. */
const nextTurn = () => (localDay(Date.now(), ZONE) > turningDate(Date.now(), ZONE) ? 'today' : 'tomorrow')
const go = (path: string) => schools.go(here, path)
const pass = (hours: number) => schools.pass(here, hours)
const rub = (starter: PlanStarter, more: Rubbed = {}) => schools.rub(here, starter, more)
const kinds = (code: string) => schools.kinds(here, code)
const hours = (item: number, from: string, to: string) => schools.hours(here, item, from, to)
const outAndTacky = (code: string) => schools.outAndTacky(here, code)
const heat = (code: string, how: Heated = {}) => schools.heat(here, code, how)
const slice = (code: string, readyG: number, more: Parameters<typeof schools.slice>[3] = {}) => schools.slice(here, code, readyG, more)
const more = (code: string) => tap(visit.page, code, 'Moved, leaked')
/** Wrapped overnight, as most do between smoke and knife. */
async function restWrapped(code: string): Promise<void> {
  await rowSays(visit.page, code, 'next: rest wrapped')
  await tap(visit.page, code, 'Resting, wrapped')
  await rowSays(visit.page, code, 'resting wrapped since')
  await pass(9)
}
/** Smoked hot, rested, sliced and packed: nothing of it is left. */
async function smokedToThePack(code: string, readyG: number, how: Heated = {}): Promise<void> {
  await heat(code, how)
  await go('/cold-room')
  await restWrapped(code)
  await slice(code, readyG)
}

it('in bags, turned every 12 h, one of which leaks', async () => {
  const { page } = visit
  const code = await rub('bags')
  expect(await axeByDayAndNight(page)).toEqual([])
  await pass(DAY)
  await tap(page, code, 'Turned')
  await says(page, `${code}: turned.`)
  await more(code)
  await tap(page, code, 'It leaked')
  await tap(page, code, '2 to 3 spoons')
  await says(page, `${code}: leaked, two or three spoonfuls.`)
  await pass(7 * DAY)
  await outAndTacky(code)
  await pass(12)
  await rowSays(page, code, 'next: hot smoke')
  await smokedToThePack(code, 3400)
  expect(await kinds(code)).toEqual(['rub', 'turn', 'drain', 'out', 'dry', 'look', 'heat', 'rest', 'slice'])
})

it('on a rack, poured off each day', async () => {
  const { page } = visit
  const code = await rub('rack')
  for (const amount of ['A cup', '2 to 3 spoons']) {
    await pass(DAY)
    await tap(page, code, 'Turned')
    await says(page, `${code}: turned.`)
    await tap(page, code, 'Drained')
    await tap(page, code, amount)
    await says(page, `${code}: drained`)
  }
  await pass(6 * DAY)
  await outAndTacky(code)
  await pass(12)
  await smokedToThePack(code, 3350)
  expect(await kinds(code)).toEqual(['rub', 'turn', 'drain', 'turn', 'drain', 'out', 'dry', 'look', 'heat', 'rest', 'slice'])
})

it('on one face, never turned: looked at on day 2, and more put on where it is bare', async () => {
  const { page } = visit
  const code = await rub('one_face')
  await pass(2 * DAY)
  await go('/')
  await says(page, 'Look at it')
  await says(page, 'planned for day 2')
  await click(page, '#week ~ ol button')
  await until(
    page,
    (lot: string) => document.querySelector('#week ~ ol li ul')?.textContent?.includes(`Look at it ${lot}, all pieces`),
    code,
  )
  expect(await axeByDayAndNight(page)).toEqual([])
  await go('/cold-room')
  await tap(page, code, 'Looked at')
  await tap(page, code, 'Edges firm')
  await says(page, `${code}: looked at, edges firm.`)
  await more(code)
  await tap(page, code, 'Put more on')
  await press(page, 'Not weighed', 'checkbox', 'Space')
  await tap(page, code, 'Flesh')
  expect(await axeByDayAndNight(page)).toEqual([])
  await tap(page, code, 'It is on')
  await says(page, `${code}: more on the flesh`)
  await rowSays(page, code, 'salt last went on today')
  const [put] = await shop.sql<{ unweighed: unknown; face: string }>('SELECT unweighed, face FROM lot_ingredients WHERE '
    + 'step_id IS NOT NULL')
  expect(put).toMatchObject({ face: 'flesh' })
  expect(Number(put!.unweighed)).toBe(1)
  await pass(6 * DAY)
  await rowSays(page, code, 'salt last went on 6 days ago')
  await outAndTacky(code)
  await pass(12)
  await smokedToThePack(code, 3450)
  expect(await kinds(code)).toEqual(['rub', 'look', 'add', 'out', 'dry', 'look', 'heat', 'rest', 'slice'])
})

it('salt only, salted again on the face that comes up for three days, out when it is stiff', async () => {
  const { page } = visit
  const code = await rub('salted_again', { saltOnly: true, salt: '3' })
  await says(page, 'salt only')
  for (const grams of ['12', '8', '6.5']) {
    await pass(DAY)
    await tap(page, code, 'Turned, and more on')
    await type(page, 'Weight, for all', grams)
    await tap(page, code, 'Turned, and it is on')
    await says(page, `${code}: turned, and more on the face that lies up`)
    await tap(page, code, 'Drained')
    await tap(page, code, '2 to 3 spoons')
    await says(page, `${code}: drained`)
  }
  const puts = await shop.sql<{ g: unknown; face: string }>(
    `SELECT weighed_g AS g, face FROM lot_ingredients u JOIN lots l ON l.id = u.lot_id WHERE l.code = '${code}' `
    + 'AND step_id IS NOT NULL ORDER BY u.id',
  )
  expect(puts.map(put => [Number(put.g), put.face])).toEqual([[12, 'up'], [8, 'up'], [6.5, 'up']])
  await pass(4 * DAY)
  await tap(page, code, 'Looked at')
  await tap(page, code, 'Stiff throughout')
  await says(page, 'stiff throughout')
  await outAndTacky(code)
  await pass(12)
  // Salt only is hot enough within four hours, or nothing.
  await heat(code, { target: 72, hours: 3 })
  await slice(code, 3300)
  expect(await kinds(code)).toEqual([
    'rub', 'turn', 'add', 'drain', 'turn', 'add', 'drain', 'turn', 'add', 'drain', 'look', 'out', 'dry', 'look', 'heat', 'slice',
  ])
})

it('stacked three high: the order is drawn, goes on after a missed day, and may be told as it lies', async () => {
  const { page } = visit
  const code = await rub('stack', { weights: ['2.4 kg', '2.2 kg', '2.6 kg'] })
  await pass(DAY)
  await rowSays(page, code, '3 to the bottom, all over')
  expect(await axeByDayAndNight(page)).toEqual([])
  await tap(page, code, 'Turned, as drawn')
  await says(page, `${code}: turned.`)
  await rowSays(page, code, `${nextTurn()} 2 to the bottom`)
  // A day is missed, and it goes on from what is there.
  await pass(2 * DAY)
  await rowSays(page, code, 'today 2 to the bottom')
  await more(code)
  await tap(page, code, 'Stacked otherwise…')
  for (const piece of ['3 at the bottom', 'then 1', 'then 2']) await tap(page, code, piece)
  await tap(page, code, 'Turned, lies so')
  await says(page, `${code}: turned; lies from the bottom 3, 1, 2.`)
  await go(`/lots/${code}`)
  await says(page, 'from the bottom now 3, 1, 2')
  await go('/sheets/cold-room')
  await says(page, nextTurn())
  expect(await axeByDayAndNight(page)).toEqual([])
  const layers = await shop.sql<{ number: number }>(
    `SELECT p.number FROM pieces p JOIN lots l ON l.id = p.lot_id WHERE l.code = '${code}' ORDER BY p.layer`,
  )
  expect(layers.map(piece => piece.number)).toEqual([3, 1, 2])
  await go('/cold-room')
  await pass(9 * DAY)
  await outAndTacky(code)
  await pass(12)
  await smokedToThePack(code, 6100)
  expect((await kinds(code)).slice(-5)).toEqual(['dry', 'look', 'heat', 'rest', 'slice'])
})

it('a week in the salt box, soaked, tasted, soaked again, rested and dried', async () => {
  const { page } = visit
  const code = await rub('salt_box_soaked', { method: 'Excess (salt box)', salt: '8' })
  await pass(6 * DAY)
  await tap(page, code, 'Out, rinsed')
  await rowSays(page, code, 'in the water since')
  await pass(1)
  await tap(page, code, 'Fried a slice…')
  await tap(page, code, '4: a little salty')
  await tap(page, code, 'Soak it again')
  await says(page, 'to be soaked again')
  // It stays where it lies, and is tasted again.
  await rowSays(page, code, 'in the water since')
  await rowSays(page, code, 'not before')
  await pass(1)
  await tap(page, code, 'Fried a slice…')
  await tap(page, code, '3: salt right')
  await tap(page, code, 'Done, no more water')
  await says(page, `${code}: fried a slice, salt right.`)
  await tap(page, code, 'Resting, unwrapped')
  await rowSays(page, code, 'resting unwrapped since')
  await rowSays(page, code, 'not before')
  await pass(13)
  await tap(page, code, 'On the rack')
  await rowSays(page, code, 'drying on the rack since')
  await pass(5)
  await tap(page, code, 'Surface…')
  await tap(page, code, 'Tacky')
  await says(page, `${code}: surface tacky.`)
  await heat(code)
  await slice(code, 3300)
  expect(await kinds(code)).toEqual(['rub', 'out', 'soak', 'fry_test', 'fry_test', 'rest', 'dry', 'look', 'heat', 'slice'])
})

it('thin strips, massaged twice a day', async () => {
  const { page } = visit
  const code = await rub('strips', { weights: ['420', '385'] })
  for (let half = 0; half < 4; half += 1) {
    await pass(12)
    await tap(page, code, 'Massaged')
    await says(page, `${code}: massaged.`)
  }
  await outAndTacky(code)
  const ways = await shop.sql<{ how: string }>(
    `SELECT JSON_VALUE(s.figures, '$.how') AS how FROM steps s JOIN lots l ON l.id = s.lot_id WHERE l.code = '${code}' AND s.kind = 'turn'`,
  )
  expect(ways.map(way => way.how)).toEqual(['massaged', 'massaged', 'massaged', 'massaged'])
  await pass(2)
  await heat(code, { hours: 2 })
  await slice(code, 690)
})

it('a bath before the smoke: after its rinse the bath comes next', async () => {
  const { page } = visit
  const code = await rub('bath_then_smoke')
  await pass(7 * DAY)
  await tap(page, code, 'Out, rinsed')
  await rowSays(page, code, 'next: hot bath, 8 to 24 h')
  await heat(code, { place: 'Water bath', target: 65, hours: 12, comesUpIn: 2.5, chamberC: 65.5 })
  await go('/cold-room')
  await tap(page, code, 'On the rack')
  await rowSays(page, code, 'drying on the rack since')
  await pass(3)
  await tap(page, code, 'Surface…')
  await tap(page, code, 'Tacky')
  await rowSays(page, code, 'next: cold smoke')
  await heat(code, { target: 20, hours: 2, chamberC: 22 })
  await slice(code, 3500)
  expect(await kinds(code)).toEqual(['rub', 'out', 'heat', 'dry', 'look', 'heat', 'slice'])
})

it('an hour warm without smoke before cold smoke in three sessions', async () => {
  const { page } = visit
  const code = await rub('cold_sessions')
  await pass(8 * DAY)
  await outAndTacky(code)
  await pass(12)
  await tap(page, code, 'Drying warm')
  await rowSays(page, code, 'drying warm')
  await pass(1.5)
  await rowSays(page, code, 'next: cold smoke in 3 sessions')
  for (let session = 1; session <= 3; session += 1) {
    await heat(code, { target: 20, hours: 5, chamberC: 21 })
    await pass(12)
  }
  await tap(page, code, 'Resting, sealed')
  await rowSays(page, code, 'resting sealed since')
  await pass(25)
  await slice(code, 3600)
  expect(await kinds(code)).toEqual(['rub', 'out', 'dry', 'look', 'dry', 'heat', 'heat', 'heat', 'rest', 'slice'])
})

it('no smoke, sealed to even out, then part-frozen, with an alarm on the open page when it is to be sliced', async () => {
  const { page } = visit
  const code = await rub('no_smoke', {
    plan: async () => {
      await choose(page, 'Add to the plan', 'Rest')
      await choose(page, 'How: rest', 'part-frozen')
      await hours(3, '0.75', '1')
      await says(page, 'part-frozen')
    },
  })
  await pass(7 * DAY)
  await outAndTacky(code)
  // Nobody soaked it: asked about, and taken.
  await tap(page, code, 'Else…')
  await tap(page, code, 'Fried a slice…')
  await tap(page, code, '3: salt right')
  await tap(page, code, 'Done, no more water')
  await rowSays(page, code, 'was in the water')
  await tap(page, code, 'Tasted without a soak')
  await says(page, `${code}: fried a slice, salt right.`)
  await tap(page, code, 'Else…')
  await tap(page, code, 'Flavour…')
  await tap(page, code, 'Glaze')
  await type(page, 'Weight, for all', '40')
  await rowSays(page, code, 'Allergens for the label: mustard')
  await tap(page, code, 'It is on')
  await says(page, `${code}: glazed: Mustard rub 40.`)
  await pass(12)
  await tap(page, code, 'Resting, part-frozen')
  await rowSays(page, code, 'resting part-frozen since')
  await pass(0.8)
  await until(
    page,
    (lot: string) => document.querySelector('[aria-label="Just now"]')?.textContent?.includes(`${lot}: Slice and pack`),
    code,
  )
  expect(await axeByDayAndNight(page)).toEqual([])
  await press(page, `Seen: ${code}`)
  expect(await kinds(code)).toEqual(['rub', 'out', 'dry', 'look', 'fry_test', 'flavour', 'rest'])
  await until(page, (lot: string) => !document.querySelector('[aria-label="Just now"]')?.textContent?.includes(lot), code)
  // Ends, pure fat and rind are weighed apart.
  await slice(code, 3700, { offcuts: { rind: 150, fat: 90 } })
  expect((await kinds(code)).at(-1)).toBe('slice')
})

it('hung for weeks to its weight, in drier air week by week, each piece weighed', async () => {
  const { page } = visit
  const code = await rub('hung')
  const [first, second] = await shop.sql<{ id: number; green: number }>(
    'SELECT p.id, CAST(p.green_g AS DOUBLE) AS green FROM pieces p JOIN lots l ON l.id = p.lot_id WHERE l.code = '
    + `'${code}' ORDER BY p.number`,
  )
  const weigh = async (lost: number) => {
    await tap(page, code, 'Weigh…')
    await type(page, 'Piece 1', `${(first!.green * (1 - lost)).toFixed(0)} g`)
    await type(page, 'Piece 2', `${(second!.green * (0.99 - lost)).toFixed(0)} g`)
    await tap(page, code, 'Save')
    await says(page, `${code}: 2 pieces weighed.`)
  }
  await go('/cold-room')
  await pass(14 * DAY)
  await tap(page, code, 'Out, rinsed')
  await rowSays(page, code, 'next: dry spice')
  await tap(page, code, 'Flavour…')
  await type(page, 'Weight, for all', '30')
  await tap(page, code, 'It is on')
  await says(page, `${code}: dry spice on: Mustard rub 30.`)
  await go('/cold-room')
  await tap(page, code, 'Hang to dry…')
  await tap(page, code, 'Cold room')
  await type(page, 'Piece 1, hook', '4')
  await type(page, 'Piece 2, hook', '5')
  expect(await axeByDayAndNight(page)).toEqual([])
  await tap(page, code, 'Hung')
  await rowSays(page, code, 'hanging since')
  await rowSays(page, code, 'hook 4')
  await go('/cold-room')
  await weigh(0.02)
  await tap(page, code, 'Air at 80 %')
  await says(page, `${code}: air set to 80 %.`)
  await pass(7 * DAY)
  await weigh(0.16)
  await tap(page, code, 'Air at 75 %')
  await rowSays(page, code, 'between')
  await pass(7 * DAY)
  await weigh(0.27)
  await go('/sheets/hanging')
  await says(page, `${code}/1`)
  await says(page, 'hook 4')
  await pass(8 * DAY)
  await weigh(0.355)
  await rowSays(page, code, 'dry enough')
  await rowSays(page, code, 'next: rest part-frozen')
  await go(`/lots/${code}`)
  await says(page, 'Hanging')
  await says(page, 'dry enough')
  expect(await axeByDayAndNight(page)).toEqual([])
  expect((await kinds(code)).filter(kind => kind === 'weigh')).toHaveLength(8)
  await go('/cold-room')
  await tap(page, code, 'Resting, part-frozen')
  await rowSays(page, code, 'resting part-frozen since')
  await pass(1)
  await slice(code, 2600)
  expect((await kinds(code)).slice(-2)).toEqual(['rest', 'slice'])
})

it('smoked, the rind taken off hot, weighed, and one slab divided, glazed, and back into the heat', async () => {
  const { page } = visit
  const code = await rub('rind_off_hot')
  await pass(8 * DAY)
  await outAndTacky(code)
  await pass(12)
  await heat(code, { target: 55, hours: 4, stillHot: true })
  await go('/cold-room')
  await rowSays(page, code, 'next: rind off')
  const [first, second] = await shop.sql<{ green: number }>(
    `SELECT CAST(p.green_g AS DOUBLE) AS green FROM pieces p JOIN lots l ON l.id = p.lot_id WHERE l.code = '${code}' ORDER BY p.number`,
  )
  const share = (part: number, of = first!) => `${(of.green * part).toFixed(0)} g`
  await tap(page, code, 'Piece 1')
  await tap(page, code, 'Cut up…')
  await type(page, 'What is left of it', share(0.45))
  await tap(page, code, 'One more part')
  await type(page, 'Part 2', share(0.35))
  await type(page, 'Rind', share(0.06))
  await type(page, 'Weight before', share(0.9))
  await tap(page, code, 'Cut, save')
  await rowSays(page, code, 'are in no part and no offcut')
  await tap(page, code, 'I am sure')
  await says(page, 'piece 1 cut up: 2 parts, with what came off.')
  // What is asked is asked of what was chosen.
  await tap(page, code, 'Piece 2')
  await rowSays(page, code, 'next: rind off')
  await tap(page, code, 'Cut up…')
  await type(page, 'What is left of it', share(0.84, second))
  await type(page, 'Rind', share(0.06, second))
  await tap(page, code, 'Cut, save')
  await rowSays(page, code, '2a')
  await rowSays(page, code, 'next: glaze')
  await tap(page, code, 'Flavour…')
  await type(page, 'Weight, for all', '60')
  await tap(page, code, 'It is on')
  await says(page, `${code}: glazed: Mustard rub 60.`)
  await rowSays(page, code, 'next: hot smoke')
  await heat(code, { target: 66, hours: 2, fromC: 45, pieces: ['All 3'] })
  await go('/cold-room')
  await rowSays(page, code, 'next: rest wrapped')
  await tap(page, code, 'Piece 1b')
  await tap(page, code, 'Else…')
  await tap(page, code, 'Resting…')
  await tap(page, code, 'Sealed')
  await tap(page, code, 'Here')
  await says(page, `${code}: resting sealed.`)
  await tap(page, code, 'Piece 1b')
  await go(`/lots/${code}`)
  await until(page, () => document.querySelectorAll('g.life[aria-label*="parts from 1"]').length === 2)
  await says(page, 'Cut into 1a')
  expect(await axeByDayAndNight(page)).toEqual([])
  await pass(9)
  // In two sittings, each with its own slabs.
  await slice(code, 2500, { pieces: ['Piece 1a', 'Piece 2a'] })
  await slice(code, 620, { offcuts: { ends: 20 } })
  expect((await kinds(code)).slice(-8)).toEqual(['heat', 'cut', 'cut', 'flavour', 'heat', 'rest', 'slice', 'slice'])
})

it('and of all that nothing is left, nothing is held, and nothing stands in a note', async () => {
  const left = await shop.sql('SELECT id FROM pieces WHERE gone_at IS NULL')
  const held = await shop.sql('SELECT reason FROM holds')
  const notes = await shop.sql('SELECT id FROM lots WHERE note IS NOT NULL')
  const looks = await shop.sql('SELECT id FROM steps WHERE kind = \'look\' AND JSON_VALUE(figures, \'$.note\') IS NOT NULL')
  expect([...left, ...held, ...notes, ...looks]).toEqual([])
})
