import { afterAll, afterEach, beforeAll, expect, it } from 'vitest'
import type { PlanStarter } from '#core/plan/starters'
import { STARTER_WORDS } from '../../app/words/plan-starters'
import { axeByDayAndNight } from '../support/axe'
import { choose, openBrowser, press, says, type, until, type Visit } from '../support/browser'
import { ingredient, stock } from '../support/goods'
import { rowSays, tap } from '../support/rows'
import { MAKER, openTestShop, type TestShop } from '../support/shop'

let shop: TestShop
let visit: Visit
const go = (path: string) => visit.page.goto(shop.address + path, { waitUntil: 'networkidle0' })

beforeAll(async () => {
  shop = await openTestShop()
  const maker = await shop.signedIn(MAKER)
  await stock(maker, { weight: '200 kg' })
  const composition = { saltPercent: '5', sugarPercent: '0', waterPercent: '8', allergens: ['mustard'] }
  await maker.post('/api/ingredients', ingredient('spice', { name: 'Mustard rub', composition }))
  visit = await openBrowser(820, 1180)
  await go('/bench')
  await type(visit.page, 'Name', MAKER.signIn)
  await type(visit.page, 'Password', MAKER.password)
  await visit.page.keyboard.press('Enter')
  await says(visit.page, 'Green weight first')
})
afterEach(() => expect(visit.faults).toEqual([]))
afterAll(async () => {
  await visit.close()
  await shop.close()
})

/** Hours go by: everything that was told lies so much further back. */
async function pass(hours: number): Promise<void> {
  const back = (...columns: string[]) => columns.map(column => `${column} = ${column} - INTERVAL ${hours * 60} MINUTE`).join(', ')
  await shop.sql(`UPDATE lots SET ${back('rubbed_at', 'drained_at', 'cure_ended_at')}, rubbed_on = DATE(rubbed_at)`)
  await shop.sql(`UPDATE steps SET ${back('from_at', 'to_at')}`)
  await shop.sql(`UPDATE pieces SET ${back('since', 'out_at', 'gone_at')}`)
  await shop.sql(`UPDATE lot_ingredients SET ${back('applied_at')}`)
  await go('/cold-room')
}
const DAY = 24

/** Rubs two pieces on the Bench by a way to begin from; answers with the lot's code. */
async function rub(
  starter: PlanStarter,
  { method = '', salt = '', saltOnly = false, weights = ['1.9 kg', '2.15 kg'], plan = async () => {} } = {},
): Promise<string> {
  const { page } = visit
  await go('/bench')
  if (method) await choose(page, 'How it is cured', method)
  if (saltOnly) await press(page, 'Salt only: no curing salt goes on', 'checkbox', 'Space')
  if (salt) await type(page, 'Salt', salt)
  await press(page, 'Change the plan')
  await choose(page, 'Begin from a way of making bacon', STARTER_WORDS[starter])
  await plan()
  for (const weight of weights) {
    await type(page, 'Next piece, green weight', weight)
    await page.keyboard.press('Enter')
  }
  await says(page, 'green weight')
  for (const [role, label] of [['agent', 'Curing salt, grams'], ['salt', 'Salt, grams'], ['sugar', 'Sugar, grams']] as const) {
    if (role === 'agent' && saltOnly) continue
    const planned = await page.waitForFunction(
      (wanted: string) => Number.parseFloat(document.querySelector(`tr[data-role="${wanted}"] .big`)?.textContent ?? '') || false,
      {},
      role,
    )
    await type(page, label, String(await planned.jsonValue()))
  }
  await press(page, 'Rub this lot')
  await says(page, 'is rubbed: day 0')
  await until(page, () => location.pathname.startsWith('/lots/'))
  const [lot] = await shop.sql<{ code: string }>('SELECT code FROM lots ORDER BY id DESC LIMIT 1')
  return lot!.code
}
const kinds = async (code: string): Promise<string[]> =>
  (
    await shop.sql<{ kind: string }>(
      `SELECT s.kind FROM steps s JOIN lots l ON l.id = s.lot_id WHERE l.code = '${code}' AND s.voided = 0 ORDER BY s.from_at, s.id`,
    )
  ).map(step => step.kind)
/** From so many hours to so many, of an item of the plan that is open. */
async function hours(item: number, from: string, to: string): Promise<void> {
  const inputs = await visit.page.$$(`[aria-label="After the cure"] li:nth-child(${item}) input[inputmode=decimal]`)
  for (const [i, text] of [from, to].entries()) {
    await inputs[i]!.click({ count: 3 })
    await visit.page.keyboard.type(text)
  }
}
const more = (code: string) => tap(visit.page, code, 'Moved, leaked')
/** Out, onto the rack, and felt until it is tacky. */
async function outAndTacky(code: string): Promise<void> {
  const { page } = visit
  await tap(page, code, 'Out, rinsed')
  await rowSays(page, code, 'drying on the rack since')
  await tap(page, code, 'Surface…')
  await tap(page, code, 'Tacky')
  await says(page, `${code}: surface tacky.`)
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
  await tap(page, code, 'A few spoons')
  await says(page, `${code}: leaked, a few spoonfuls.`)
  await pass(7 * DAY)
  await outAndTacky(code)
  await pass(12)
  await rowSays(page, code, 'next: hot smoke')
  expect(await kinds(code)).toEqual(['rub', 'turn', 'drain', 'out', 'dry', 'look'])
})

it('on a rack, poured off each day', async () => {
  const { page } = visit
  const code = await rub('rack')
  for (const amount of ['A cup', 'A few spoons']) {
    await pass(DAY)
    await tap(page, code, 'Turned')
    await says(page, `${code}: turned.`)
    await tap(page, code, 'Drained')
    await tap(page, code, amount)
    await says(page, `${code}: drained`)
  }
  await pass(6 * DAY)
  await outAndTacky(code)
  expect(await kinds(code)).toEqual(['rub', 'turn', 'drain', 'turn', 'drain', 'out', 'dry', 'look'])
})

it('on one face, never turned: looked at on day 2, and more put on where it is bare', async () => {
  const { page } = visit
  const code = await rub('one_face')
  await pass(2 * DAY)
  await go('/')
  await says(page, 'Look at it')
  await says(page, 'planned for day 2')
  await page.locator('#week ~ ol button').click()
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
  const [put] = await shop.sql<{ unweighed: unknown; face: string }>('SELECT unweighed, face FROM lot_ingredients WHERE step_id IS NOT NULL')
  expect(put).toMatchObject({ face: 'flesh' })
  expect(Number(put!.unweighed)).toBe(1)
  await pass(6 * DAY)
  await rowSays(page, code, 'salt last went on 6 days ago')
  await outAndTacky(code)
  expect(await kinds(code)).toEqual(['rub', 'look', 'add', 'out', 'dry', 'look'])
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
    await tap(page, code, 'A few spoons')
    await says(page, `${code}: drained`)
  }
  const puts = await shop.sql<{ g: unknown; face: string }>(
    `SELECT weighed_g AS g, face FROM lot_ingredients u JOIN lots l ON l.id = u.lot_id WHERE l.code = '${code}' AND step_id IS NOT NULL ORDER BY u.id`,
  )
  expect(puts.map(put => [Number(put.g), put.face])).toEqual([[12, 'up'], [8, 'up'], [6.5, 'up']])
  await pass(4 * DAY)
  await tap(page, code, 'Looked at')
  await tap(page, code, 'Stiff throughout')
  await says(page, 'stiff throughout')
  await outAndTacky(code)
  expect(await kinds(code)).toEqual([
    'rub', 'turn', 'add', 'drain', 'turn', 'add', 'drain', 'turn', 'add', 'drain', 'look', 'out', 'dry', 'look',
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
  await rowSays(page, code, 'tomorrow 2 to the bottom')
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
  await says(page, 'tomorrow')
  expect(await axeByDayAndNight(page)).toEqual([])
  const layers = await shop.sql<{ number: number }>(
    `SELECT p.number FROM pieces p JOIN lots l ON l.id = p.lot_id WHERE l.code = '${code}' ORDER BY p.layer`,
  )
  expect(layers.map(piece => piece.number)).toEqual([3, 1, 2])
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
  expect(await kinds(code)).toEqual(['rub', 'out', 'soak', 'fry_test', 'fry_test', 'rest', 'dry'])
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
})

it('a bath before the smoke: after its rinse the bath comes next', async () => {
  const { page } = visit
  const code = await rub('bath_then_smoke')
  await pass(7 * DAY)
  await tap(page, code, 'Out, rinsed')
  await rowSays(page, code, 'next: hot bath, 8 to 24 h')
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
  await until(page, (lot: string) => document.querySelector('[aria-label="Just now"]')?.textContent?.includes(`${lot}: Slice and pack`), code)
  expect(await axeByDayAndNight(page)).toEqual([])
  await press(page, `Seen: ${code}`)
  expect(await kinds(code)).toEqual(['rub', 'out', 'dry', 'look', 'fry_test', 'flavour', 'rest'])
  await until(page, (lot: string) => !document.querySelector('[aria-label="Just now"]')?.textContent?.includes(lot), code)
})

it('hung for weeks to its weight, in drier air week by week, each piece weighed', async () => {
  const { page } = visit
  const code = await rub('hung')
  const [first, second] = await shop.sql<{ id: number; green: number }>(
    `SELECT p.id, CAST(p.green_g AS DOUBLE) AS green FROM pieces p JOIN lots l ON l.id = p.lot_id WHERE l.code = '${code}' ORDER BY p.number`,
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
})

it('the rind taken off, weighed, and one slab divided; each part goes a way of its own', async () => {
  const { page } = visit
  const code = await rub('rind_off_hot')
  await pass(8 * DAY)
  await outAndTacky(code)
  const [first] = await shop.sql<{ green: number }>(
    `SELECT CAST(p.green_g AS DOUBLE) AS green FROM pieces p JOIN lots l ON l.id = p.lot_id WHERE l.code = '${code}' AND p.number = 1`,
  )
  const share = (part: number) => `${(first!.green * part).toFixed(0)} g`
  await tap(page, code, 'Piece 1')
  await tap(page, code, 'Else…')
  await tap(page, code, 'Cut up, rind off…')
  await type(page, 'What is left of it', share(0.5))
  await tap(page, code, 'One more part')
  await type(page, 'Part 2', share(0.4))
  await type(page, 'Rind', share(0.06))
  await type(page, 'Weight before', share(1))
  await tap(page, code, 'Cut, save')
  await rowSays(page, code, 'are in no part and no offcut')
  await tap(page, code, 'I am sure')
  await says(page, 'piece 1 cut up: 2 parts, with what came off.')
  await rowSays(page, code, '1a')
  await rowSays(page, code, '1b')
  await tap(page, code, 'Piece 1b')
  await tap(page, code, 'Else…')
  await tap(page, code, 'Resting…')
  await tap(page, code, 'Wrapped')
  await says(page, `${code}: resting wrapped.`)
  await until(page, (lot: string) => document.querySelectorAll(`article[aria-label^="Lot ${lot}"]`).length === 2, code)
  await go(`/lots/${code}`)
  await until(page, () => document.querySelectorAll('g.life[aria-label*="parts from 1"]').length === 2)
  await says(page, 'Cut into 1a')
  expect(await axeByDayAndNight(page)).toEqual([])
  expect((await kinds(code)).slice(-2)).toEqual(['cut', 'rest'])
})

it('and of all that nothing stands in a note', async () => {
  const notes = await shop.sql('SELECT id FROM lots WHERE note IS NOT NULL')
  const looks = await shop.sql('SELECT id FROM steps WHERE kind = \'look\' AND JSON_VALUE(figures, \'$.note\') IS NOT NULL')
  expect([...notes, ...looks]).toEqual([])
})
