import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { choose, click, openBrowser, press, says, type, until, type Visit, load } from '../support/browser'
import { openTestShop, type TestShop } from '../support/shop'

let shop: TestShop
let visit: Visit
const page = () => visit.page
const open = async (path: string) => {
  await load(page(), shop.address + path)
}
const clear = async () => {
  await page().evaluate(() => {
    localStorage.removeItem('veldmoor-draft:bench')
  })
  await open('/bench')
}
const addPieces = async (...weights: string[]) => {
  for (const weight of weights) {
    await type(page(), 'Next piece, green weight', weight)
    await page().keyboard.press('Enter')
  }
}
/** Pages of the page as it prints. */
const printed = async (format: 'A4' | 'Letter') =>
  Number(
    /\/Type\s*\/Pages[\s\S]*?\/Count (\d+)/.exec(Buffer.from(await page().pdf({ format })).toString('latin1'))?.[1],
  )
const mayRub = () => page().$eval('.rub button', button => !(button as HTMLButtonElement).disabled)

beforeAll(async () => {
  shop = await openTestShop({ demo: true })
  visit = await openBrowser()
  await open('/')
  await type(page(), 'Name', 'marit')
  await type(page(), 'Password', 'bacon-and-brine')
  await page().keyboard.press('Enter')
  await page().waitForSelector('.room-strip')
})
afterAll(async () => {
  await visit.close()
  await shop.close()
})

const saltOnly = () => press(page(), 'Salt only: no curing salt goes on', 'checkbox', 'Space')

describe('the Bench, part by part', () => {
  it('1: every method says what its ppm means, in words and on the beam', async () => {
    await clear()
    await addPieces('1.9 kg', '1.5 kg')
    for (const [method, words] of [
      ['Two applications', 'what goes in with both'],
      ['Excess (salt box)', 'only an upper bound'],
      ['Brine until even', 'Meat and brine share'],
      ['Brine by pick-up', 'Weigh before and after'],
      ['Salt only', 'No nitrite, so no ppm'],
    ] as const) {
      if (method === 'Salt only') await saltOnly()
      else await choose(page(), 'How it is cured', method)
      await says(page(), words)
      if (method === 'Excess (salt box)') await says(page(), 'Each weight hangs at the most it can be')
      if (method === 'Salt only') await says(page(), 'nothing hangs here')
    }
    await saltOnly()
    await choose(page(), 'How it is cured', 'Measured dry')
    await says(page(), 'what went in')
  })
  it('2: a refused agent says why and what to use; nitrite curing salt shows its line', async () => {
    await choose(page(), 'Curing salt lot', 'Curing salt no. 2')
    await says(page(), 'for whole muscle that dries for weeks')
    expect(await mayRub()).toBe(false)
    await choose(page(), 'Curing salt lot', 'Ready-mixed home cure')
    await says(page(), 'Use curing salt no. 1')
    await choose(page(), 'Curing salt lot', 'Nitrite curing salt 0.6')
    await says(page(), 'Salt and ppm are tied')
    await press(page(), 'All salt through it')
    await says(page(), 'Add plain salt beside it')
    expect(await page().$('::-p-aria([name="Salt, grams"])')).toBeNull()
    await press(page(), 'Add plain salt beside it')
    await choose(page(), 'Curing salt lot', 'N-0001')
    expect(await mayRub()).toBe(true)
  })
  it('4: a coarse scale cannot show it, and the way it names does', async () => {
    await choose(page(), 'Cure weighed on', 'reads to 1 g')
    await type(page(), 'Nitrite target', '125')
    await says(page(), 'may be below the floor')
    await says(page(), 'Add ')
    await type(page(), 'Nitrite target', '150')
    await choose(page(), 'Cure weighed on', 'Fine scale')
    await says(page(), 'inside the limits')
  })
  it('5: seasonings are counted, named for the label, and may go on half the pieces', async () => {
    await press(page(), 'Add a seasoning')
    await choose(page(), 'Seasoning', 'Soy sauce')
    await says(page(), '16.0 % salt, 2.0 % sugar, on the label: soy, wheat')
    await type(page(), 'How much', '20')
    await choose(page(), 'counted', 'g per kg')
    await says(page(), 'Weigh 68.0 g')
    await choose(page(), 'on', 'pieces marked B')
    await click(page(), '[aria-label^="Flavour of piece 2: A"]')
    await says(page(), 'of its own flavouring')
    await type(page(), 'How much', '400')
    await says(page(), 'Curing salt and seasonings already bring')
    await press(page(), 'Leave out Soy sauce')
  })
  it('6: bags, sides, equal scoops beside by weight, and weighing one by one', async () => {
    await addPieces('900')
    await press(page(), 'Equal scoops')
    await says(page(), 'one of 3 equal scoops')
    await says(page(), 'over')
    await press(page(), 'By weight')
    await says(page(), 'flesh')
    await press(page(), 'In bags')
    await type(page(), 'Bag of piece 1', '1')
    await type(page(), 'Bag of piece 3', '1')
    await says(page(), 'Bag 1: pieces 1 and 3')
    await press(page(), 'One by one, large')
    for (const weight of ['10.3', '97.8', '43']) {
      await until(page(), () => document.activeElement?.closest('.through') !== null)
      await page().keyboard.type(weight)
      await page().keyboard.press('Enter')
      // The next line to weigh is asked for, or there is none.
      await until(page(), () => !(document.activeElement as HTMLInputElement | null)?.value)
    }
    await says(page(), 'As weighed')
  })
  it('7: what went wrong is mended in grams', async () => {
    await page().click('.mend summary')
    await type(page(), 'Curing salt really weighed', '16')
    await says(page(), 'Keep the mix, add meat')
    await says(page(), 'of meat, as pieces of this lot')
    await press(page(), 'One more piece')
    await type(page(), 'The late piece, green weight', '1 kg')
    await says(page(), 'add 2.4 g of curing salt')
  })
  it('11: a card holds the bench on one page, and brings it back', async () => {
    await press(page(), 'Keep as a card')
    await says(page(), 'Kept as bench card B-0002')
    await open('/bench/card/B-0002')
    await says(page(), 'Rub, each piece')
    await says(page(), 'Curing salt is poisonous')
    expect(await page().$$eval('.card .pieces tbody tr', rows => rows.length)).toBe(3)
    expect(await printed('A4')).toBe(1)
    await clear()
    await addPieces(...Array.from({ length: 40 }, (_, i) => String(300 + i)))
    await press(page(), 'Keep as a card')
    await says(page(), 'Kept as bench card B-0003')
    await open('/bench/card/B-0003')
    await says(page(), 'Rub, each piece')
    expect(await printed('Letter')).toBe(1)
    await clear()
    await type(page(), 'Bench card: scan or type', 'b 2')
    await page().keyboard.press('Enter')
    await says(page(), '4.300 kg green weight')
    await press(page(), 'Rub this lot')
    await says(page(), 'L-0012 is rubbed: day 0')
  })
})

describe('around the Bench', () => {
  it('3: a rule set of the shop\'s own is written, confirmed and put in force in the Office; the verdict names it', async () => {
    await open('/office/rules')
    await press(page(), 'Canada')
    await says(page(), 'List of Permitted Preservatives')
    await press(page(), 'Make a set of our own from this')
    await page().waitForSelector('[aria-label="Own rule set"]')
    await type(page(), 'Name', 'Valley code')
    await press(page(), 'Write the rule set')
    await says(page(), 'Written. Confirm it')
    await type(page(), 'Against (link or document)', 'blue folder')
    await press(page(), 'Confirm the rule set')
    await says(page(), 'blue folder')
    await choose(page(), 'Rule set in force', 'Valley code')
    await type(page(), 'House target', '110')
    await type(page(), 'Own limit (optional)', '115')
    await press(page(), 'Go by these')
    await says(page(), 'From now on verdicts go by this')
    await clear()
    await addPieces('2.4 kg')
    await says(page(), 'Valley code rules')
    expect(await page().$eval('.beam svg', svg => svg.textContent)).toContain('limit 120')
    expect(await page().$eval('.beam svg', svg => svg.textContent)).toContain('house 115')
    await open('/office/rules')
    await choose(page(), 'Rule set in force', 'United States')
    await type(page(), 'House target', '150')
    await type(page(), 'Own limit (optional)', '')
    await page().keyboard.press('Backspace')
    await press(page(), 'Go by these')
    await says(page(), 'From now on verdicts go by this')
  })
  it('6: a bulk mix is weighed, stands in the Store, and is dispensed by weight', async () => {
    await open('/store/mix')
    await says(page(), 'for each kilogram of meat')
    await type(page(), 'Name on the tub', 'Peppered mix')
    await press(page(), 'Add a seasoning')
    await choose(page(), 'Seasoning', 'Black pepper')
    await type(page(), 'Of the meat', '0,2')
    for (const [label, weight] of [
      ['Curing salt, grams', '72'],
      ['Salt, grams', '682.5'],
      ['Sugar, grams', '300'],
      ['Black pepper, cracked, grams', '60.5'],
    ] as const)
      await type(page(), label, weight)
    await press(page(), 'Mixed, put it on the shelf')
    await says(page(), 'is mixed and on the shelf')
    await clear()
    await addPieces('2 kg')
    await choose(page(), 'Curing salt lot', 'Peppered mix')
    await says(page(), 'will be left of 1.115 kg')
  })
  it('8: a recipe in spoons gets its range, its verdict, and the same by weight', async () => {
    await open('/bench/spoons')
    await says(page(), '141 ppm to 167 ppm')
    await type(page(), 'How much', '3 tsp')
    await says(page(), 'above the limit')
    await type(page(), 'How much', 'a pinch')
    await says(page(), 'is not an amount')
    await type(page(), 'How much', '1 tsp per 3 kg')
    await says(page(), 'cannot be told from spoons')
    await press(page(), 'Lay it on the Bench')
    await says(page(), 'Green weight first')
    expect(await page().evaluate(() => JSON.parse(localStorage.getItem('veldmoor-draft:bench')!).saltShare)).toBe('1.6')
  })
  it('9: recipes are revised, compared, scaled, duplicated, put in a file and taken in again', async () => {
    await open('/recipe-book')
    await page().waitForSelector('.names')
    await page().evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('.name')]
        .find(one => one.innerText.includes('Orchard streaky'))!
        .click(),
    )
    await says(page(), 'From revision 1 to 2')
    await type(page(), 'Green weight', '20 kg')
    await says(page(), '48.0 g')
    await press(page(), 'Revise')
    await type(page(), 'Sugar', '1.2')
    await type(page(), 'What changed, and why', 'sweet enough')
    await press(page(), 'Write revision 3')
    await says(page(), 'From revision 2 to 3')
    await says(page(), 'sweet enough')
    await press(page(), 'Duplicate')
    await press(page(), 'Put it in the book')
    await says(page(), 'R-0011 is in the book')
    const chooser = page().waitForFileChooser()
    await page().evaluate(() => document.querySelector<HTMLInputElement>('input[type=file]')!.click())
    await (await chooser).accept([new URL('../../docs/recipes.schema.json', import.meta.url).pathname])
    await says(page(), 'This is not a file of recipes')
    await press(page(), 'Lay it on the Bench')
    await says(page(), 'What you change here changes this lot, not the book')
  })
  it('10: a practice problem is answered, and then shows the beam and why', async () => {
    await open('/bench/practice')
    await type(page(), 'Your answer, ppm', '150')
    await page().keyboard.press('Enter')
    await says(page(), 'not so')
    await says(page(), '171 ppm')
    await press(page(), 'Answer again')
    await type(page(), 'Your answer, ppm', '171')
    await page().keyboard.press('Enter')
    await says(page(), 'the tub cannot be forgotten')
    expect(await page().$$eval('.beam .weight', weights => weights.length)).toBe(2)
  })
  it('nothing went wrong in the page', () => expect(visit.faults).toEqual([]))
})
