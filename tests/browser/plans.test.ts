import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest'
import { choose, openBrowser, press, says, type, type Visit, load } from '../support/browser'
import { rowSays, tap } from '../support/rows'
import { axeByDayAndNight } from '../support/axe'
import { openTestShop, type TestShop } from '../support/shop'

const DEVICES = [
  ['laptop', 1280, 800],
  ['phone', 390, 844],
] as const

describe.each(DEVICES)('plans, on a %s', (_device, width, height) => {
  let shop: TestShop
  let visit: Visit
  const go = (path: string) => load(visit.page, shop.address + path)
  beforeAll(async () => {
    shop = await openTestShop({ demo: true })
    visit = await openBrowser(width, height)
    await go('/cold-room')
    await type(visit.page, 'Name', 'marit')
    await type(visit.page, 'Password', 'bacon-and-brine')
    await visit.page.keyboard.press('Enter')
    await says(visit.page, 'Every piece where it lies')
    // A day in the salt box, whatever hour it is now.
    await shop.sql(
      'UPDATE steps s JOIN lots l ON l.id = s.lot_id SET s.voided = s.id WHERE l.code = \'L-0011\' AND s.kind IN (\'out\', \'rest\')',
    )
    await shop.sql('UPDATE pieces p JOIN lots l ON l.id = p.lot_id SET p.stage = \'cure\', p.out_at = NULL WHERE l.code = \'L-0011\'')
    await shop.sql('UPDATE lots SET cure_ended_at = NULL WHERE code = \'L-0011\'')
    await go('/cold-room')
  })
  afterEach(() => expect(visit.faults).toEqual([]))
  afterAll(async () => {
    await visit.close()
    await shop.close()
  })

  it('a salt box is rinsed five times, laid to rest, dried until it is tacky, and only then goes into the smoke', async () => {
    const { page } = visit
    await tap(page, 'L-0011', 'Out, rinsed')
    await says(page, 'L-0011: out of the cure and rinsed')
    await rowSays(page, 'L-0011', 'next: rest wrapped 2 to 5 days')
    await tap(page, 'L-0011', 'Resting, wrapped')
    await rowSays(page, 'L-0011', 'resting wrapped since')
    await rowSays(page, 'L-0011', 'not before')
    await tap(page, 'L-0011', 'On the rack')
    await rowSays(page, 'L-0011', 'drying on the rack since')
    await tap(page, 'L-0011', 'Surface…')
    await tap(page, 'L-0011', 'Damp')
    await says(page, 'L-0011: surface damp.')
    await rowSays(page, 'L-0011', 'next: feel whether the surface is tacky')
    await tap(page, 'L-0011', 'Surface…')
    await tap(page, 'L-0011', 'Tacky')
    await rowSays(page, 'L-0011', 'next: hot smoke')
    const steps = await shop.sql<{ kind: string }>(
      'SELECT s.kind FROM steps s JOIN lots l ON l.id = s.lot_id WHERE l.code = \'L-0011\' AND s.voided = 0 AND '
      + 's.kind <> \'turn\' ORDER BY s.from_at, s.id',
    )
    expect(steps.map(step => step.kind)).toEqual(['rub', 'out', 'rest', 'dry', 'look', 'look'])
  })

  it('too salty, it goes into the water, is tasted, and soaked again', async () => {
    const { page } = visit
    await tap(page, 'L-0011', 'Else…')
    await tap(page, 'L-0011', 'Soaked…')
    await tap(page, 'L-0011', 'Save')
    await rowSays(page, 'L-0011', 'in the water since')
    await tap(page, 'L-0011', 'Else…')
    await tap(page, 'L-0011', 'Fried a slice…')
    await tap(page, 'L-0011', '5: far too salty')
    await tap(page, 'L-0011', 'Soak it again')
    await says(page, 'L-0011: fried a slice, far too salty, to be soaked again.')
  })

  it('a plan is changed on the way with a reason, and is never asked what it does not hold', async () => {
    const { page } = visit
    await go('/lots/L-0010')
    await press(page, 'Change the plan')
    await choose(page, 'Begin from a way of making bacon', 'No smoke at all')
    await says(page, 'Different:')
    await type(page, 'Why', 'the smoker is being mended')
    expect(await axeByDayAndNight(page)).toEqual([])
    await press(page, 'Follow this plan')
    await says(page, 'Changed: the smoker is being mended.')
    const [plan] = await shop.sql<{ content: string }>(
      'SELECT p.content FROM plans p JOIN lots l ON l.id = p.lot_id WHERE l.code = \'L-0010\' ORDER BY p.number DESC LIMIT 1',
    )
    expect(JSON.stringify(plan!.content)).not.toContain('heat')
  })

  it('what is due is done from Today by one tap', async () => {
    const { page } = visit
    await shop.sql('UPDATE steps SET voided = id WHERE kind = \'turn\' AND from_at > UTC_TIMESTAMP() - INTERVAL 30 HOUR')
    await go('/')
    await says(page, 'To do now')
    const before = (await shop.sql('SELECT id FROM steps WHERE kind = \'turn\' AND voided = 0')).length
    const button = await page.waitForSelector('button[aria-label^="Turned: L-"]')
    await button!.evaluate(one => one.scrollIntoView({ block: 'center' }))
    await button!.click()
    await says(page, 'turned.')
    expect((await shop.sql('SELECT id FROM steps WHERE kind = \'turn\' AND voided = 0')).length).toBe(before + 1)
    expect(await axeByDayAndNight(page)).toEqual([])
  })
})
