import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { PAGES } from '../../app/logic/pages'
import { axeByDayAndNight } from '../support/axe'
import { atRest, load, openBrowser, says, type, type Visit } from '../support/browser'
import { openTestShop, OWNER, type TestShop } from '../support/shop'

const EMPTY = PAGES.filter(page => !page.needsRecords).map(page => page.path)
const SIZES = [
  ['phone', 390, 844],
  ['laptop', 1280, 800],
] as const

let shop: TestShop
let visit: Visit
beforeAll(async () => {
  shop = await openTestShop()
  visit = await openBrowser()
  await load(visit.page, shop.address)
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
  it.each(EMPTY)(
    '%s fits, and passes WCAG 2.2 AA by axe, by day and by night, on a phone and on a laptop',
    async (path) => {
      await load(visit.page, shop.address + path)
      for (const [device, width, height] of SIZES) {
        await visit.page.setViewport({ width, height })
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
