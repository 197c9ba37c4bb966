import { afterAll, beforeAll, expect, it } from 'vitest'
import { choose, openBrowser, press, says, type, until, type Visit, load } from '../support/browser'
import { openTestShop, SETUP_CODE, type TestShop } from '../support/shop'

let shop: TestShop
let visit: Visit
const page = () => visit.page
beforeAll(async () => {
  shop = await openTestShop({ opened: false })
  visit = await openBrowser()
})
afterAll(async () => {
  await visit.close()
  await shop.close()
})

/** Presses the step that Today names as the next one; it must be the one that is expected. */
async function follow(title: string): Promise<void> {
  await press(page(), 'Today', 'link')
  await until(
    page(),
    (wanted: string) => document.querySelector('[aria-current="step"] strong')?.textContent === wanted,
    title,
  )
  await page().focus('[aria-current="step"]')
  await page().keyboard.press('Enter')
  await until(page(), () => document.querySelector('h1')?.textContent?.trim() !== 'Today')
}
const ticked = () => page().$$eval('.first li.done', steps => steps.length)

it('somebody who has never seen it comes from the first visit to a rubbed lot by what the pages say, in under five minutes', async () => {
  const startedMs = Date.now()
  await load(page(), `${shop.address}/set-up#code=${SETUP_CODE}`)
  await type(page(), 'Shop\'s name', 'Beck Side Shed')
  await choose(page(), 'The law your shop stands under', 'European Union')
  await press(page(), 'g, kg')
  await press(page(), '°C')
  await type(page(), 'Full name', 'Nell Beck')
  await type(page(), 'Initials, as on the labels', 'NB')
  await type(page(), 'Sign-in name', 'nell')
  await type(page(), 'Password, 10 characters or more', 'four cold wet hands')
  await press(page(), 'Open the shop')
  await says(page(), 'The first lot, step by step')
  expect(await ticked()).toBe(0)

  await follow('Look at your scales and places')
  await press(page(), 'Checks of Meat scale')
  await type(page(), 'Check weight', '1 kg')
  await type(page(), 'It reads', '1 kg')
  await press(page(), 'Record the check')
  await until(page(), () =>
    document.querySelector('#instruments-head')?.closest('section')?.textContent?.includes('checked'),
  )

  await follow('Confirm the rules')
  await type(page(), 'Against (link or document)', 'the text, printed')
  await press(page(), 'Confirm the rule set')
  await says(page(), 'The rule set is confirmed')

  await follow('Receive curing salt')
  for (const [kind, name] of [
    ['Curing salt', 'Curing salt no. 1'],
    ['Salt', 'Sea salt'],
    ['Sugar', 'Brown sugar'],
  ] as const) {
    if (kind !== 'Curing salt') await press(page(), 'Receive an ingredient')
    await press(page(), kind)
    await type(page(), 'Name on the label', name)
    await type(page(), 'Supplier', 'Dry Goods')
    await type(page(), 'Their lot', `DG-${kind}`)
    await type(page(), 'Amount', '2 kg')
    if (kind === 'Curing salt') await type(page(), 'Certificate', 'C-1')
    await press(page(), 'Put on the shelf')
    await until(
      page(),
      (wanted: string) =>
        [...document.querySelectorAll('main td, main th')].some(cell => cell.textContent?.includes(wanted)),
      name,
    )
  }

  await follow('Receive meat')
  await type(page(), 'Supplier', 'Beck Farm')
  await type(page(), 'Their lot', 'BF-1')
  await type(page(), 'Weight', '6 kg')
  await type(page(), 'Temperature on arrival', '2.5')
  await press(page(), 'All four good')
  await press(page(), 'Receive it')
  await says(page(), 'M-0001')

  await follow('Rub the first lot')
  await type(page(), 'Next piece, green weight', '1990')
  await page().keyboard.press('Enter')
  await type(page(), 'Next piece, green weight', '1.98 kg')
  await page().keyboard.press('Enter')
  await says(page(), '3.970 kg green weight')
  for (const [role, label] of [
    ['agent', 'Curing salt, grams'],
    ['salt', 'Salt, grams'],
    ['sugar', 'Sugar, grams'],
  ] as const) {
    const planned = await page().$eval(`tr[data-role="${role}"] .big`, cell => Number.parseFloat(cell.textContent!))
    expect(planned, label).toBeGreaterThan(0)
    await type(page(), label, String(planned))
  }
  await says(page(), 'inside the limits')
  await press(page(), 'Rub this lot')
  await says(page(), 'L-0001 is rubbed: day 0')
  expect(Date.now() - startedMs).toBeLessThan(5 * 60_000)

  await shop.sql('UPDATE lots SET rubbed_on = rubbed_on - INTERVAL 1 DAY, rubbed_at = rubbed_at - INTERVAL 1 DAY')
  await follow('Turn it')
  await press(page(), 'Turned, all pieces')
  await says(page(), 'L-0001: turned.')
  await press(page(), 'Today', 'link')
  await until(page(), () => document.querySelectorAll('.first li.done').length === 6)
  expect(visit.faults).toEqual([])
})
