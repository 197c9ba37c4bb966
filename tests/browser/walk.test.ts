import { writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { choose, click, goTo, load, openBrowser, press, reload, says, type, until, type Visit } from '../support/browser'
import { openTestShop, SETUP_CODE, type TestShop } from '../support/shop'

let shop: TestShop
let visit: Visit
const page = () => visit.page
const text = () => page().evaluate(() => document.body.innerText)

beforeAll(async () => {
  shop = await openTestShop({ opened: false })
  visit = await openBrowser()
})
afterAll(async () => {
  await visit.close()
  await shop.close()
})

describe('a maker walks through the shop, by keyboard', () => {
  it('1: the first visit opens the shop, and the owner signs in again', async () => {
    // As the start command prints it.
    await load(page(), `${shop.address}/set-up#code=${SETUP_CODE}`)
    await says(page(), 'Open the shop')
    await type(page(), 'Shop\'s name', 'Walk-in shed')
    await type(page(), 'Full name', 'Ada Walker')
    await type(page(), 'Initials, as on the labels', 'AW')
    await type(page(), 'Sign-in name', 'ada')
    await press(page(), 'g, kg')
    await press(page(), '°C')
    await type(page(), 'Password, 10 characters or more', 'short')
    await press(page(), 'Open the shop')
    await says(page(), '10 characters or more.')
    await says(page(), 'Choose the law that your shop stands under')
    // What was typed is still there after a visit to somewhere else.
    await reload(page())
    await says(page(), 'Open the shop')
    expect(await page().$$eval('input', inputs => inputs.map(input => input.value))).toEqual(
      expect.arrayContaining([SETUP_CODE, 'Walk-in shed', 'Ada Walker']),
    )
    await choose(page(), 'The law your shop stands under', 'United States')
    await type(page(), 'Password, 10 characters or more', 'walk-in shed')
    await press(page(), 'Open the shop')
    await says(page(), 'among the first that anyone would try')
    await type(page(), 'Password, 10 characters or more', 'a long password')
    await press(page(), 'Open the shop')
    await says(page(), 'The first lot, step by step')
    await shop.sql('UPDATE shops SET zone = ?', ['America/Chicago'])
    await page().deleteCookie(...(await page().cookies()))
    await load(page(), `${shop.address}/store`)
    await type(page(), 'Name', 'ada')
    await type(page(), 'Password', 'a wrong password')
    await page().keyboard.press('Enter')
    await says(page(), 'Name or password is wrong')
    await type(page(), 'Password', 'a long password')
    await page().keyboard.press('Enter')
    await says(page(), 'No delivery yet')
  })

  it('2: meat and ingredients come into the store; a wrong weight loses nothing', async () => {
    await page().keyboard.press('n')
    await type(page(), 'Supplier', 'North <b>Farm</b>')
    await type(page(), 'Their lot', 'NF-77')
    await type(page(), 'Weight', '4 lb 20 oz')
    await type(page(), 'Temperature on arrival', '2.5')
    await press(page(), 'All four good')
    await press(page(), 'Receive it')
    await says(page(), 'Ounces after pounds go up to 15.9')
    await reload(page())
    await page().keyboard.press('n')
    await says(page(), 'Temperature on arrival')
    expect(await page().$eval('input[maxlength="60"]', input => (input as HTMLInputElement).value)).toBe('4 lb 20 oz')
    await type(page(), 'Weight', '12.4 kg')
    await page().keyboard.press('Enter')
    await press(page(), 'Receive it')
    await says(page(), 'D-0001 is recorded: M-0001')
    await says(page(), 'North <b>Farm</b>')
    for (const [kind, name, certificate] of [
      ['Curing salt', 'Curing salt no. 1', true],
      ['Salt', 'Sea salt', false],
      ['Sugar', 'Brown sugar', false],
    ] as const) {
      await press(page(), 'Receive an ingredient')
      await press(page(), kind)
      await type(page(), 'Name on the label', name)
      await type(page(), 'Supplier', 'Dry Goods')
      await type(page(), 'Their lot', `DG-${kind}`)
      await type(page(), 'Amount', '2 kg')
      if (certificate) await type(page(), 'Certificate', 'C-1')
      await press(page(), 'Put on the shelf')
      await says(page(), 'is on the shelf')
      await says(page(), name)
    }
  })

  it('3: the Bench weighs pieces, refuses too much, and rubs a lot', async () => {
    await goTo(page(), 'b', 'Bench')
    const pieceField = 'Next piece, green weight'
    await type(page(), pieceField, '4 lb 6.5 oz')
    await page().keyboard.press('Enter')
    for (const weight of ['0', '1.98', '470 - 2450']) {
      await type(page(), pieceField, weight)
      await page().keyboard.press('Enter')
    }
    await says(page(), 'weighs more than the whole')
    await type(page(), pieceField, '1.98 kg')
    await page().keyboard.press('Enter')
    await type(page(), pieceField, '2450 - 470')
    await page().keyboard.press('Enter')
    await says(page(), '5.959 kg green weight')
    await says(page(), '14.3 g')
    await says(page(), 'inside the limits')
    await type(page(), 'Curing salt, grams', '21')
    await page().keyboard.press('Enter')
    await page().keyboard.type('135.6')
    await page().keyboard.press('Enter')
    await page().keyboard.type('59.6')
    await says(page(), 'above the limit')
    await says(page(), 'Not while it is above')
    expect(await page().$eval('.rub button', button => (button as HTMLButtonElement).disabled)).toBe(true)
    await type(page(), 'Curing salt, grams', '14.3')
    await says(page(), 'inside the limits')
    await press(page(), 'Rub this lot')
    await says(page(), 'L-0001 is rubbed: day 0')
    await says(page(), 'in the cure, day 0')
  })

  it('the notch on the beam moves with the arrow keys', async () => {
    await goTo(page(), 'b', 'Bench')
    const notch = await page().waitForSelector('[role="slider"]')
    await notch!.focus()
    await page().keyboard.press('ArrowRight')
    await page().keyboard.press('PageUp')
    expect(await notch!.evaluate(el => el.getAttribute('aria-valuenow'))).toBe('156')
    expect(
      await page().$eval(
        'input[inputmode="decimal"][value], .fields input',
        input => (input as HTMLInputElement).value,
      ),
    ).toBeTruthy()
  })

  it('4: the Cold room hangs it by its day; a turn is one press and can be undone', async () => {
    await shop.sql('UPDATE lots SET rubbed_on = rubbed_on - INTERVAL 8 DAY, rubbed_at = rubbed_at - INTERVAL 8 DAY')
    await goTo(page(), 'c', 'Cold room')
    await says(page(), 'L-0001')
    await page().waitForSelector('.twine')
    expect(await page().$eval('.twine', svg => svg.getAttribute('aria-label'))).toContain(
      'Cure day 8. 0 turned, 7 missed',
    )
    await press(page(), 'Turned, all pieces')
    await says(page(), 'L-0001: turned.')
    await until(page(), () => document.querySelector('.twine')?.getAttribute('aria-label')?.includes('1 turned'))
    await page().evaluate(() => (document.activeElement as HTMLElement).blur())
    await page().keyboard.press('u')
    await says(page(), 'The record stays in the book as such')
    await press(page(), 'Turned, all pieces')
    await press(page(), 'Drained')
    await press(page(), 'More to say…')
    await press(page(), 'Kept, poured back')
    await press(page(), 'A cup')
    await says(page(), 'L-0001: drained, about a cup.')
    await press(page(), 'Looked at')
    await press(page(), 'Edges firm')
    await says(page(), 'L-0001: looked at, edges firm.')
    await says(page(), 'edges firm')
    // Twice in ten minutes is asked about, and told when it was so.
    await press(page(), 'Drained')
    await press(page(), 'Weighed…')
    await type(page(), 'Weight of the liquid', '40 g')
    await page().keyboard.press('Enter')
    await says(page(), 'that L-0001 was drained: that counts')
    await press(page(), 'It was done again')
    await says(page(), 'L-0001: drained, 40 g.')
    await type(page(), 'Reads now', '3.1')
    await page().keyboard.press('Enter')
    await says(page(), '3.1 °C')
    await press(page(), 'Out, rinsed')
    // It stays under the finger for a while, then lies among what dries.
    await says(page(), 'out of the cure and rinsed')
    await says(page(), 'drying on the rack since')
  })

  it('5: a smoke is started, read, pulled and cooled, by hand and from a file', async () => {
    await goTo(page(), 'm', 'Smokehouse')
    await page().keyboard.press('n')
    await press(page(), 'All 3')
    await type(page(), 'Pull at core', '62')
    await press(page(), 'Into the smoke')
    await says(page(), 'S-0001 is in the smoke')
    await shop.sql('UPDATE runs SET started_at = started_at - INTERVAL 4 HOUR')
    const local = (minutesAgo: number) =>
      new Intl.DateTimeFormat('sv-SE', { timeZone: 'America/Chicago', dateStyle: 'short', timeStyle: 'short' }).format(
        Date.now() - minutesAgo * 60_000,
      )
    const file = join(tmpdir(), `veldmoor-${process.pid}.csv`)
    const upload = async (content: string) => {
      writeFileSync(file, content)
      const input = await page().waitForSelector('input[type="file"]')
      await (input as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile(file)
    }
    await upload('when?,warmth\n1,2\n')
    await says(page(), 'The columns are not clear')
    await upload(`time,core\n${'\n'.repeat(1_000_000)}`)
    await says(page(), 'only blank lines')
    await upload(
      `Time,Chamber °C,Core °C\n${[
        [180, 30, 8],
        [150, 70, 20],
        [120, 78, 35],
        [90, 80, 46],
        [60, 80, 54],
        [45, 81, 58],
        [30, 80, 61],
      ]
        .map(([ago, chamber, core]) => `${local(ago!)},${chamber},${core}`)
        .join('\n')}\n`,
    )
    await says(page(), '7 readings recorded')
    await type(page(), 'Chamber, row 1', '80')
    await page().keyboard.press('Enter')
    await page().keyboard.type('62.5')
    await press(page(), 'Record readings')
    await says(page(), '1 reading recorded')
    await says(page(), '6.5 log reached')
    await page().waitForSelector('.js-plotly-plot .scatterlayer .trace')
    await press(page(), 'Pull')
    await says(page(), 'heat-treated, cook before eating')
    await shop.sql('UPDATE runs SET pulled_at = pulled_at - INTERVAL 26 MINUTE')
    await shop.sql('UPDATE run_readings SET at = at - INTERVAL 26 MINUTE WHERE at > NOW() - INTERVAL 5 MINUTE')
    await reload(page())
    await upload(
      `time,core\n${[
        [25, 58],
        [20, 40],
        [15, 24],
        [5, 6.5],
      ]
        .map(([ago, core]) => `${local(ago!)},${core}`)
        .join('\n')}\n`,
    )
    await says(page(), '4 readings recorded')
    await says(page(), 'cooled in time')
    expect(await text()).toContain('cured, 5 h')
  })

  it('6: the slicing table makes packs and shows the yield', async () => {
    await goTo(page(), 'l', 'Slicing table')
    await type(page(), 'Ready to slice, all slabs', '5.4 kg')
    for (const weight of ['250', '251', '249', '8.8 oz']) {
      await type(page(), 'Next pack, net weight', weight)
      await page().keyboard.press('Enter')
    }
    await type(page(), 'ends', '310')
    await says(page(), 'over 1 %: where is it?')
    await press(page(), 'Record 4 packs')
    await says(page(), '4 packs: P-0001 to P-0004')
    await type(page(), 'Customer', 'Corner Shop')
    await press(page(), 'All 4')
    await press(page(), 'Send 4 packs')
    await says(page(), 'has not confirmed its rule set')
    await goTo(page(), 'o', 'Office')
    await click(page(), 'main a[href="/office/rules"]')
    await says(page(), 'Compare these rows')
    await type(page(), 'Against (link or document)', 'green folder')
    await press(page(), 'Confirm the rule set')
    await says(page(), 'The rule set is confirmed')
    await goTo(page(), 'l', 'Slicing table')
    await says(page(), '4 chosen')
    await press(page(), 'Send 4 packs')
    await says(page(), '4 packs sent to Corner Shop')
  })

  it('7: any code shows its thread both ways; one that is none says so', async () => {
    await page().evaluate(() => (document.activeElement as HTMLElement).blur())
    await page().keyboard.press('/')
    await page().keyboard.type('p 2')
    await page().keyboard.press('Enter')
    await says(page(), 'Thread of P-0002')
    for (const name of ['North <b>Farm</b>', 'M-0001', 'N-0001', 'L-0001', 'S-0001', 'Corner Shop'])
      await says(page(), name)
    await type(page(), 'Code, typed or scanned', 'L-0999')
    await page().keyboard.press('Enter')
    await says(page(), 'Nothing has the code L-0999')
    await type(page(), 'Code, typed or scanned', '<script>')
    await page().keyboard.press('Enter')
    await says(page(), 'is not a code')
  })

  it('8: the lot\'s page shows its whole life, and a correction with both values', async () => {
    await load(page(), `${shop.address}/lots/L-0001`)
    await says(page(), 'sent; part not sliced yet')
    await press(page(), 'Correct piece 2')
    await type(page(), 'Right value', '1.97 kg')
    await press(page(), 'Correct it')
    await says(page(), 'Say why, in a few words')
    await type(page(), 'Why', 'read 1.98 for 1.97')
    await press(page(), 'Correct it')
    await says(page(), '“1.98 kg” to “1.97 kg”')
    const life = await text()
    for (const part of [
      'Rubbed: 3 pieces',
      'Voided: the step.',
      'undone within ten minutes',
      'Drained: about a cup, poured back.',
      'Looked at: edges firm.',
      'Pulled; hottest core',
      'Sliced: 4 packs',
      'sent to Corner Shop',
      'Why: read 1.98 for 1.97',
    ])
      expect(life).toContain(part)
    const pdf = await page().pdf({ format: 'A4' })
    expect(pdf.length).toBeGreaterThan(20_000)
    await goTo(page(), 't', 'Today')
    await says(page(), 'L-0001')
  })

  it('and no page broke on the way', () => expect(visit.faults).toEqual([]))
})
