import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { axeByDayAndNight } from '../support/axe'
import { atRest, openBrowser, says, type, type Visit } from '../support/browser'
import { openTestShop, OWNER, type TestShop } from '../support/shop'

const PAGES = [
  '/',
  '/store',
  '/store/salt-ledger',
  '/store/mix',
  '/bench',
  '/bench/spoons',
  '/bench/practice',
  '/cold-room',
  '/smokehouse',
  '/slicing-table',
  '/ledger',
  '/ledger/lots',
  '/ledger/book',
  '/recipe-book',
  '/office',
  '/office/rules',
]
const SIZES = [
  ['phone', 390, 844],
  ['laptop', 1280, 800],
] as const

let shop: TestShop
let visit: Visit
beforeAll(async () => {
  shop = await openTestShop()
  visit = await openBrowser()
  await visit.page.goto(shop.address, { waitUntil: 'networkidle0' })
  await type(visit.page, 'Name', OWNER.signIn)
  await type(visit.page, 'Password', OWNER.password)
  await visit.page.keyboard.press('Enter')
  await says(visit.page, 'The first lot, step by step')
})
afterAll(async () => {
  await visit.close()
  await shop.close()
})

describe('every page of a shop in which nothing happened yet', () => {
  it.each(PAGES)(
    '%s fits, and passes WCAG 2.2 AA by axe, by day and by night, on a phone and on a laptop',
    async (path) => {
      for (const [device, width, height] of SIZES) {
        await visit.page.setViewport({ width, height })
        await visit.page.goto(shop.address + path, { waitUntil: 'networkidle0' })
        await visit.page.waitForSelector('h1')
        await atRest(visit.page)
        expect(
          await visit.page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
          device,
        ).toBeLessThanOrEqual(0)
        expect(await axeByDayAndNight(visit.page), device).toEqual([])
      }
    },
  )
  it('and none of them broke or ran a script that is not ours', () => expect(visit.faults).toEqual([]))
})
