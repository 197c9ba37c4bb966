import { afterAll, afterEach, beforeAll, expect, it } from 'vitest'
import { axeByDayAndNight } from '../support/axe'
import { choose, click, openBrowser, press, says, type, until, type Visit, load } from '../support/browser'
import { rub, stock } from '../support/goods'
import { must } from '../support/must'
import { openTestShop, OWNER, type TestShop } from '../support/shop'

let shop: TestShop
let visit: Visit
const go = (path: string) => load(visit.page, shop.address + path)

beforeAll(async () => {
  shop = await openTestShop()
  const owner = await shop.signedIn(OWNER)
  const { code } = await must(owner.post('/api/lots', rub(await stock(owner))))
  await must(owner.post('/api/steps', { steps: [{ kind: 'out', rinses: 1 }], lots: [{ code, pieces: null }], when: { told: 'now' } }))
  visit = await openBrowser(820, 1180)
  await go('/office/lists')
  await type(visit.page, 'Name', OWNER.signIn)
  await type(visit.page, 'Password', OWNER.password)
  await visit.page.keyboard.press('Enter')
  await says(visit.page, 'Looked into and cleaned')
})
afterEach(() => expect(visit.faults).toEqual([]))
afterAll(async () => {
  await visit.close()
  await shop.close()
})

it('the owner writes a list for the smoker', async () => {
  const { page } = visit
  await press(page, 'Add a list')
  const form = await page.waitForSelector('#checks-head ~ form')
  await form!.waitForSelector('textarea')
  await page.type('#checks-head ~ form input[type=text]', 'Smoker looked into')
  await choose(page, 'Of', 'Smoker')
  await page.type('#checks-head ~ form textarea:not([readonly])', 'drip tray empty\nno soot over the racks')
  expect(await axeByDayAndNight(page)).toEqual([])
  await press(page, 'Keep the list')
  await says(page, 'never done')
})
it('the Smokehouse asks for it, takes it thing by thing, and lets the smoke begin', async () => {
  const { page } = visit
  await go('/smokehouse')
  await press(page, 'Start a smoke')
  await says(page, 'Smoker looked into')
  expect(await axeByDayAndNight(page)).toEqual([])
  await click(page, 'form .lot .v-btn')
  await press(page, 'Into the smoke')
  await says(page, 'Nothing is recorded yet')
  await press(page, 'drip tray empty', 'checkbox', 'Space')
  await press(page, '1 of 2 done')
  await says(page, 'Not ticked: no soot over the racks')
  await press(page, 'no soot over the racks', 'checkbox', 'Space')
  await press(page, 'All in order')
  await until(page, () => !document.querySelector('[aria-label="To be looked at first"]'))
  await press(page, 'Into the smoke')
  await until(page, () => location.pathname.startsWith('/runs/'))
})
it('and the book says who looked, and at what', async () => {
  await go('/ledger/book')
  await says(visit.page, 'drip tray empty, no soot over the racks')
})
