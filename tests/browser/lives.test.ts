import type { Page } from 'puppeteer-core'
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest'
import { BRINE_DENSITY, ROUGH_ML } from '#core/rules/house'
import { openBrowser, reload, says, type, until, type Visit, load } from '../support/browser'
import { hold, rowOf, rowSays, tap } from '../support/rows'
import { openTestShop, type TestShop } from '../support/shop'

/** A floor screen on the wall and one in a pocket; each begins with a demo shop of its own. */
const DEVICES = [
  ['tablet', 820, 1180],
  ['phone', 390, 844],
] as const
const placeOf = async (page: Page, code: string) =>
  (await rowOf(page, code)).evaluate(row => row.closest('section')!.getAttribute('aria-label'))

describe.each(DEVICES)('lots after their rub, on a %s', (_device, width, height) => {
  let shop: TestShop
  let visit: Visit
  beforeAll(async () => {
    shop = await openTestShop({ demo: true })
    visit = await openBrowser(width, height)
    await load(visit.page, `${shop.address}/cold-room`)
    await type(visit.page, 'Name', 'marit')
    await type(visit.page, 'Password', 'bacon-and-brine')
    await visit.page.keyboard.press('Enter')
    await says(visit.page, 'Every piece where it lies')
  })
  afterEach(() => expect(visit.faults).toEqual([]))
  afterAll(async () => {
    await visit.close()
    await shop.close()
  })
  const steps = async (code: string, kind: string) =>
    await shop.sql<{ from_at: string; pieces: string; figures: string }>(
      `SELECT s.* FROM steps s JOIN lots l ON l.id = s.lot_id WHERE l.code = '${code}' AND s.kind = '${kind}' `
      + 'AND s.voided = 0 ORDER BY s.from_at, s.id',
    )

  it('a rack cure is drained by a rough amount, and another told an hour late lies before it', async () => {
    const { page } = visit
    const before = (await steps('L-0008', 'drain')).length
    await rowSays(page, 'L-0008', 'rack')
    await tap(page, 'L-0008', 'Drained')
    await tap(page, 'L-0008', '2 to 3 spoons')
    await says(page, 'L-0008: drained, two or three spoonfuls.')
    await hold(page, 'L-0008', 'Drained')
    await tap(page, 'L-0008', '1 h ago')
    await tap(page, 'L-0008', 'A cup')
    await says(page, 'L-0008: drained, about a cup, 1 h ago.')
    const told = await steps('L-0008', 'drain')
    expect(told).toHaveLength(before + 2)
    // mL as the tap says, at the density of full brine.
    const mostG = told.slice(-2).map(({ figures }) => {
      const { drained } = (typeof figures === 'string' ? JSON.parse(figures) : figures) as { drained: { highG: number } }
      return Math.round(drained.highG)
    })
    expect(mostG[0]).toBeGreaterThan(ROUGH_ML.few_spoons.high * BRINE_DENSITY.withSyrup)
    expect(mostG[1]).toBeLessThanOrEqual(ROUGH_ML.few_spoons.high * BRINE_DENSITY.withSyrup)
  })

  it('where nobody measured the liquid, the meat is weighed in its place, told before what that shows', async () => {
    const { page } = visit
    await tap(page, 'L-0010', 'Drained')
    await tap(page, 'L-0010', 'Weigh the meat…')
    await rowSays(page, 'L-0010', 'or more, at least 100 ppm stayed')
    const said = await (await rowOf(page, 'L-0010')).evaluate(row => row.textContent ?? '')
    const [, weight] = /At ([\d.,]+ kg) or more/.exec(said)!
    await type(page, 'All together', weight!)
    await tap(page, 'L-0010', 'Save')
    await says(page, `L-0010: drained, the meat weighs ${weight}.`)
    const [drained] = (await steps('L-0010', 'drain')).slice(-1)
    expect(JSON.stringify(drained!.figures)).toContain('drained')
    expect(await steps('L-0010', 'weigh')).toHaveLength(1)
    const [lot] = await shop.sql<{ least: number }>(
      'SELECT CAST(JSON_VALUE(judgement, \'$.stayed.leastPpm\') AS DOUBLE) AS least FROM lots WHERE code = \'L-0010\'',
    )
    expect(lot!.least).toBeGreaterThanOrEqual(100)
    expect(lot!.least).toBeLessThan(110)
  })

  it('a stack is turned piece by piece: the knot is half tied until the last is over', async () => {
    const { page } = visit
    await rowSays(page, 'L-0006', 'stack')
    await shop.sql('UPDATE steps SET voided = id WHERE kind = \'turn\' AND from_at > UTC_TIMESTAMP() - INTERVAL 20 HOUR')
    await reload(page)
    await tap(page, 'L-0006', 'Piece 1')
    await tap(page, 'L-0006', 'Turned, this piece')
    await rowSays(page, 'L-0006', 'still to turn: 2, 3')
    await tap(page, 'L-0006', 'Piece 1')
    for (const piece of ['Piece 2', 'Piece 3']) await tap(page, 'L-0006', piece)
    await tap(page, 'L-0006', 'Turned, these 2')
    await until(
      page,
      () => !document.querySelector<HTMLElement>('article[aria-label^="Lot L-0006"]')!.textContent?.includes('still to turn'),
    )
  })

  it('bags that are turned every 12 hours, and bags of every two days, are looked at by the bag', async () => {
    const { page } = visit
    await tap(page, 'L-0010', 'bag 2')
    await tap(page, 'L-0010', 'Looked at')
    await tap(page, 'L-0010', 'Soft in the middle')
    await rowSays(page, 'L-0010', 'firm but soft in the middle')
    const [look] = await steps('L-0010', 'look')
    expect(JSON.stringify(look!.pieces).match(/\d+/g)).toHaveLength(2)
    const rhythms = await shop.sql<{ code: string; days: string }>(
      'SELECT code, turn_every_days AS days FROM lots WHERE code IN (\'L-0007\', \'L-0010\') ORDER BY code',
    )
    expect(rhythms.map(row => Number(row.days))).toEqual([2, 0.5])
    await hold(page, 'L-0007', 'Turned')
    await tap(page, 'L-0007', 'Last evening')
    await says(page, 'L-0007: turned, last evening.')
  })

  it('a lot goes from its fridge to the garage and back, both told late, and lies where it was carried', async () => {
    const { page } = visit
    expect(await placeOf(page, 'L-0009')).toBe('Cold room')
    await tap(page, 'L-0009', 'Moved')
    await tap(page, 'L-0009', 'Told late')
    await tap(page, 'L-0009', '1 h ago')
    await tap(page, 'L-0009', 'To North garage')
    await says(page, 'L-0009: moved to North garage, 1 h ago.')
    // Under the finger it stays for three seconds.
    expect(await placeOf(page, 'L-0009')).toBe('Cold room')
    await until(page, () =>
      document.querySelector('section[aria-label="North garage"] article[aria-label^="Lot L-0009"]'),
    )
    await tap(page, 'L-0009', 'Moved')
    await tap(page, 'L-0009', 'To Cold room')
    await until(page, () =>
      document.querySelector('section[aria-label="Cold room"] article[aria-label^="Lot L-0009"]'),
    )
    expect((await steps('L-0009', 'move')).slice(-2)).toHaveLength(2)
  })

  it('what cannot have been is refused with both steps and what mends it, and what was told can be undone in order', async () => {
    const { page } = visit
    await hold(page, 'L-0006', 'Out, rinsed')
    await tap(page, 'L-0006', '1 h ago')
    await rowSays(page, 'L-0006', 'L-0006 cannot have been turned')
    await rowSays(page, 'L-0006', 'Nothing was recorded')
    const last = (await shop.sql<{ id: number }>('SELECT MAX(id) AS id FROM events'))[0]!.id
    await page.$$eval('.v-snackbar button', all => (all.at(-1) as HTMLElement | undefined)?.click())
    await page.waitForSelector('.last')
    await page.$$eval('.last .newest button', all => (all[1] as HTMLElement).click())
    await page.waitForSelector('.last ol li')
    await page.$eval('.last ol li button', one => (one as HTMLElement).click())
    await says(page, 'The record stays in the book as such')
    const voided = await shop.sql<{ voids_id: number }>(`SELECT voids_id FROM events WHERE id > ${last}`)
    expect(voided.map(event => event.voids_id)).toEqual([last - 1])
  })
})
