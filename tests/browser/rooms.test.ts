import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { PAGES } from '../../app/logic/pages'
import { axeByDayAndNight } from '../support/axe'
import { atRest, load, openBrowser, press, says, type, until, type Visit } from '../support/browser'
import { openTestShop, type TestShop } from '../support/shop'

const NOWHERE = '/no-such-room'
const ROOMS = [...PAGES.flatMap(({ path, seen }) => seen ?? [path]), NOWHERE]
const SIZES = [
  ['phone', 390, 844],
  ['tablet', 820, 1180],
  ['laptop', 1280, 800],
] as const
const LEAST_TARGET_PX = 56

let shop: TestShop
let visit: Visit

beforeAll(async () => {
  shop = await openTestShop({ demo: true })
  visit = await openBrowser()
  await load(visit.page, shop.address)
  await type(visit.page, 'Name', 'marit')
  await type(visit.page, 'Password', 'bacon-and-brine')
  await visit.page.keyboard.press('Enter')
  await says(visit.page, 'To do now')
})
afterAll(async () => {
  await visit.close()
  await shop.close()
})

const WAITING = [
  'Reading the book', 'Laying out', 'Opening the drawer', 'Looking for the measuring',
  'Fetching the card', 'Clearing the big bowl', 'Turning the pages',
]
const open = async (path: string) => {
  await load(visit.page, shop.address + path)
  await until(
    visit.page,
    (waiting: string[]) =>
      document.querySelector('h1') && !waiting.some(words => document.body.innerText.includes(words)),
    WAITING,
  )
}
/** How far the page reaches over its side, once it has taken the size. */
const sideways = async (width: number, height: number) => {
  await visit.page.setViewport({ width, height })
  await atRest(visit.page)
  return visit.page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)
}

describe('every room', () => {
  it.each(ROOMS)('%s scrolls sideways on no device, and passes WCAG 2.2 AA by axe, by day and by night', async (path) => {
    await visit.page.setViewport({ width: 390, height: 844 })
    await open(path)
    for (const [device, width, height] of SIZES) expect(await sideways(width, height), device).toBeLessThanOrEqual(0)
    expect(await axeByDayAndNight(visit.page)).toEqual([])
  })
  it('has floor targets for wet gloves on the tablet', async () => {
    await visit.page.setViewport({ width: 820, height: 1180 })
    for (const path of ['/cold-room', '/smokehouse', '/runs/S-0003', '/store']) {
      await open(path)
      const small = await visit.page.$$eval(
        'main .v-btn:not(.slim, .v-btn--icon, .v-btn--size-small), .room-strip a',
        (buttons, least) =>
          buttons.map(b => b.getBoundingClientRect()).filter(box => box.width > 0 && box.height < least).length,
        LEAST_TARGET_PX,
      )
      expect(small, path).toBe(0)
    }
  })
  it('Today answers its three questions without scrolling', async () => {
    await visit.page.setViewport({ width: 1280, height: 800 })
    await open('/')
    // What has just become due stands over every room until it was seen.
    for (const seen of await visit.page.$$('[aria-label^="Seen: "]')) await seen.click()
    const bottom = await visit.page.$eval(
      '#week',
      heading => heading.closest('section')!.getBoundingClientRect().bottom,
    )
    expect(bottom).toBeLessThanOrEqual(800)
  })
})

describe('the demo shop', () => {
  it('has a lot held for a warm fridge, one of salt only, and two with all packs out', async () => {
    await open('/lots/L-0008')
    await says(visit.page, 'lay too warm')
    await open('/lots/L-0007')
    await says(visit.page, 'salt only')
    for (const code of ['L-0001', 'L-0002']) {
      await open(`/lots/${code}`)
      await says(visit.page, 'all sent')
    }
  })
  it('writes figures as each person does', async () => {
    await open('/office/mine')
    for (const choice of ['lb and oz', '°F', '2,5', 'Nov 23']) await press(visit.page, choice)
    await press(visit.page, 'Write them so')
    // The sample stands there before it is chosen; the notice only once it was kept.
    await says(visit.page, 'From now on: 4 lb 0,9 oz, 145,4 °F, Nov 23')
    await open('/runs/S-0001')
    await says(visit.page, 'target core 145,4 °F')
    for (const choice of ['g and kg', '°C', '2.5', '23 Nov']) {
      if (choice === 'g and kg') await open('/office/mine')
      await press(visit.page, choice)
    }
    await press(visit.page, 'Write them so')
    await says(visit.page, 'From now on: 1.840 kg, 63.0 °C, 23 Nov')
  })
  it('an inspector reads everything and finds no button that writes', async () => {
    const other = await openBrowser()
    await load(other.page, `${shop.address}/cold-room`)
    await type(other.page, 'Name', 'quill')
    await type(other.page, 'Password', 'bacon-and-brine')
    await other.page.keyboard.press('Enter')
    await says(other.page, 'L-0009')
    expect(await other.page.evaluate(() => document.body.innerText)).not.toContain('Turned, all pieces')
    expect(other.faults).toEqual([])
    await other.close()
  })
  it('keeps what was typed when the connection is gone, and sends it once when it is back', async () => {
    await open('/cold-room')
    await visit.page.setOfflineMode(true)
    await type(visit.page, 'Reads now', '3.4')
    await visit.page.keyboard.press('Enter')
    await says(visit.page, 'What you typed is kept here')
    await visit.page.setOfflineMode(false)
    await visit.page.keyboard.press('Enter')
    await says(visit.page, '3.4 recorded')
  })
  it('broke no page', () => {
    const expected = ['ERR_INTERNET_DISCONNECTED', `Page not found: ${NOWHERE}`]
    expect(visit.faults.filter(fault => !expected.some(words => fault.includes(words)))).toEqual([])
  })
})
