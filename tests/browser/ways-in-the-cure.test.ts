import { expect, it } from 'vitest'
import { axeByDayAndNight } from '../support/axe'
import { click, press, says, type, until } from '../support/browser'
import { MakersDay, nextTurn } from '../support/makers-day'
import { rowSays, tap } from '../support/rows'
import { DAY } from '../support/schools'

const day = new MakersDay()
const { go, heat, kinds, liesNow, more, outAndTacky, pass, rub, slice, smokedToThePack } = day

it('in bags, turned every 12 h, one of which leaks', async () => {
  const { page } = day.visit
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
  const { page } = day.visit
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
  const { page } = day.visit
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
  const [put] = await day.shop.sql<{ unweighed: unknown; face: string }>('SELECT unweighed, face FROM lot_ingredients WHERE '
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
  const { page } = day.visit
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
  const puts = await day.shop.sql<{ g: unknown; face: string }>(
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
  const { page } = day.visit
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
  const layers = await day.shop.sql<{ number: number }>(
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
  const { page } = day.visit
  const code = await rub('salt_box_soaked', { method: 'Excess (salt box)', salt: '8' })
  await pass(6 * DAY)
  await tap(page, code, 'Out, rinsed')
  await liesNow(code, 'in the water since')
  await pass(1)
  await tap(page, code, 'Fried a slice…')
  await tap(page, code, '4: a little salty')
  await tap(page, code, 'Soak it again')
  await says(page, 'to be soaked again')
  // It stays where it lies, and is tasted again.
  await liesNow(code, 'in the water since')
  await rowSays(page, code, 'not before')
  await pass(1)
  await tap(page, code, 'Fried a slice…')
  await tap(page, code, '3: salt right')
  await tap(page, code, 'Done, no more water')
  await says(page, `${code}: fried a slice, salt right.`)
  await tap(page, code, 'Resting, unwrapped')
  await liesNow(code, 'resting unwrapped since')
  await rowSays(page, code, 'not before')
  await pass(13)
  await tap(page, code, 'On the rack')
  await liesNow(code, 'drying on the rack since')
  await pass(5)
  await tap(page, code, 'Surface…')
  await tap(page, code, 'Tacky')
  await says(page, `${code}: surface tacky.`)
  await heat(code)
  await slice(code, 3300)
  expect(await kinds(code)).toEqual(['rub', 'out', 'soak', 'fry_test', 'fry_test', 'rest', 'dry', 'look', 'heat', 'slice'])
})

it('thin strips, massaged twice a day', async () => {
  const { page } = day.visit
  const code = await rub('strips', { weights: ['420', '385'] })
  for (let half = 0; half < 4; half += 1) {
    await pass(12)
    await tap(page, code, 'Massaged')
    await says(page, `${code}: massaged.`)
  }
  await outAndTacky(code)
  const ways = await day.shop.sql<{ how: string }>(
    `SELECT JSON_VALUE(s.figures, '$.how') AS how FROM steps s JOIN lots l ON l.id = s.lot_id WHERE l.code = '${code}' AND s.kind = 'turn'`,
  )
  expect(ways.map(way => way.how)).toEqual(['massaged', 'massaged', 'massaged', 'massaged'])
  await pass(2)
  await heat(code, { hours: 2 })
  await slice(code, 690)
})

day.nothingIsLeft()
