import { expect, it } from 'vitest'
import { axeByDayAndNight } from '../support/axe'
import { choose, press, says, type, until } from '../support/browser'
import { MakersDay } from '../support/makers-day'
import { rowSays, tap } from '../support/rows'
import { DAY } from '../support/schools'

const day = new MakersDay()
const { go, heat, hours, kinds, liesNow, outAndTacky, pass, rub, slice } = day

it('a bath before the smoke: after its rinse the bath comes next', async () => {
  const { page } = day.visit
  const code = await rub('bath_then_smoke')
  await pass(7 * DAY)
  await tap(page, code, 'Out, rinsed')
  await rowSays(page, code, 'next: hot bath, 8 to 24 h')
  await heat(code, { place: 'Water bath', target: 65, hours: 12, comesUpIn: 2.5, chamberC: 65.5 })
  await go('/cold-room')
  await tap(page, code, 'On the rack')
  await liesNow(code, 'drying on the rack since')
  await pass(3)
  await tap(page, code, 'Surface…')
  await tap(page, code, 'Tacky')
  await rowSays(page, code, 'next: cold smoke')
  await heat(code, { target: 20, hours: 2, chamberC: 22 })
  await slice(code, 3500)
  expect(await kinds(code)).toEqual(['rub', 'out', 'heat', 'dry', 'look', 'heat', 'slice'])
})

it('an hour warm without smoke before cold smoke in three sessions', async () => {
  const { page } = day.visit
  const code = await rub('cold_sessions')
  await pass(8 * DAY)
  await outAndTacky(code)
  await pass(12)
  await tap(page, code, 'Drying warm')
  await liesNow(code, 'drying warm')
  await pass(1.5)
  await rowSays(page, code, 'next: cold smoke in 3 sessions')
  for (let session = 1; session <= 3; session += 1) {
    await heat(code, { target: 20, hours: 5, chamberC: 21 })
    await pass(12)
  }
  await tap(page, code, 'Resting, sealed')
  await liesNow(code, 'resting sealed since')
  await pass(25)
  await slice(code, 3600)
  expect(await kinds(code)).toEqual(['rub', 'out', 'dry', 'look', 'dry', 'heat', 'heat', 'heat', 'rest', 'slice'])
})

it('no smoke, sealed to even out, then part-frozen, with an alarm on the open page when it is to be sliced', async () => {
  const { page } = day.visit
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
  await liesNow(code, 'resting part-frozen since')
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
  const { page } = day.visit
  const code = await rub('hung')
  const [first, second] = await day.shop.sql<{ id: number; green: number }>(
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
  await liesNow(code, 'hanging since')
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
  await liesNow(code, 'resting part-frozen since')
  await pass(1)
  await slice(code, 2600)
  expect((await kinds(code)).slice(-2)).toEqual(['rest', 'slice'])
})

it('smoked, the rind taken off hot, weighed, and one slab divided, glazed, and back into the heat', async () => {
  const { page } = day.visit
  const code = await rub('rind_off_hot')
  await pass(8 * DAY)
  await outAndTacky(code)
  await pass(12)
  await heat(code, { target: 55, hours: 4, stillHot: true })
  await go('/cold-room')
  await rowSays(page, code, 'next: rind off')
  const [first, second] = await day.shop.sql<{ green: number }>(
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

day.nothingIsLeft()
