import { writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect } from 'vitest'
import { localDay } from '#core/calendar/local-day'
import type { PlanStarter } from '#core/plan/starters'
import { STARTER_WORDS } from '../../app/words/plan-starters'
import { choose, click, openBrowser, press, says, type, until, type Visit, follow, hasRead, load } from './browser'
import { ingredient, stock } from './goods'
import { rowSays, tap } from './rows'
import { MAKER, OWNER, ZONE, openTestShop, type TestShop } from './shop'

/** A shop of one maker who works by screens alone, on whom days go by at once. */
export interface Schools {
  shop: TestShop
  visit: Visit
}
export const DAY = 24

export async function openSchools(): Promise<Schools> {
  const shop = await openTestShop()
  const maker = await shop.signedIn(MAKER)
  await stock(maker, { weight: '200 kg' })
  const composition = { saltPercent: '5', sugarPercent: '0', waterPercent: '8', allergens: ['mustard'] }
  await maker.post('/api/ingredients', ingredient('spice', { name: 'Mustard rub', composition }))
  const owner = await shop.signedIn(OWNER)
  await owner.post('/api/office/places', { name: 'Water bath', kind: 'water_bath' })
  const visit = await openBrowser(820, 1180)
  const one = { shop, visit }
  await load(visit.page, `${shop.address}/bench`)
  await type(visit.page, 'Name', MAKER.signIn)
  await type(visit.page, 'Password', MAKER.password)
  await visit.page.keyboard.press('Enter')
  await says(visit.page, 'Green weight first')
  return one
}
export const go = ({ visit }: Schools, path: string) => follow(visit.page, path)

/** Hours go by: everything that was told lies so much further back. */
export async function pass(schools: Schools, hours: number): Promise<void> {
  const { shop } = schools
  await hasRead(schools.visit.page)
  const back = (...columns: string[]) => columns.map(column => `${column} = ${column} - INTERVAL ${hours * 60} MINUTE`).join(', ')
  await shop.sql(`UPDATE lots SET ${back('rubbed_at', 'drained_at', 'cure_ended_at')}`)
  const rubbed = await shop.sql<{ id: number; at: unknown }>('SELECT id, TIMESTAMPDIFF(SECOND, \'1970-01-01\', rubbed_at) AS at FROM lots')
  for (const { id, at } of rubbed)
    await shop.sql('UPDATE lots SET rubbed_on = ? WHERE id = ?', [localDay(Number(at) * 1000, ZONE), id])
  await shop.sql(`UPDATE steps SET ${back('from_at', 'to_at')}`)
  await shop.sql(`UPDATE pieces SET ${back('since', 'out_at', 'gone_at')}`)
  await shop.sql(`UPDATE lot_ingredients SET ${back('applied_at')}`)
  await shop.sql(`UPDATE run_readings SET ${back('at')}`)
  // After its readings: an open page asks in between, and readings are kept by the version they were read under.
  await shop.sql(`UPDATE runs SET ${back('started_at', 'pulled_at')}, readings_version = COALESCE(readings_version, 0) + 1`)
  await go(schools, '/cold-room')
}

export interface Rubbed {
  method?: string
  salt?: string
  saltOnly?: boolean
  weights?: string[]
  plan?: () => Promise<void>
}

/** Rubs two pieces on the Bench by a way to begin from; answers with the lot's code. */
export async function rub(
  schools: Schools,
  starter: PlanStarter,
  { method = '', salt = '', saltOnly = false, weights = ['1.9 kg', '2.15 kg'], plan = async () => {} }: Rubbed = {},
): Promise<string> {
  const { shop, visit: { page } } = schools
  await go(schools, '/bench')
  if (method) await choose(page, 'How it is cured', method)
  if (saltOnly) await press(page, 'Salt only: no curing salt goes on', 'checkbox', 'Space')
  if (salt) await type(page, 'Salt', salt)
  await press(page, 'Change the plan')
  await choose(page, 'Begin from a way of making bacon', STARTER_WORDS[starter])
  await plan()
  for (const weight of weights) {
    await type(page, 'Next piece, green weight', weight)
    await page.keyboard.press('Enter')
  }
  await says(page, 'green weight')
  for (const [role, label] of [['agent', 'Curing salt, grams'], ['salt', 'Salt, grams'], ['sugar', 'Sugar, grams']] as const) {
    if (role === 'agent' && saltOnly) continue
    const planned = await page.waitForFunction(
      (wanted: string) => Number.parseFloat(document.querySelector(`tr[data-role="${wanted}"] .big`)?.textContent ?? '') || false,
      {},
      role,
    )
    await type(page, label, String(await planned.jsonValue()))
  }
  await press(page, 'Rub this lot')
  await says(page, 'is rubbed: day 0')
  await until(page, () => location.pathname.startsWith('/lots/'))
  const [lot] = await shop.sql<{ code: string }>('SELECT code FROM lots ORDER BY id DESC LIMIT 1')
  return lot!.code
}
/** Kinds of a lot's steps that stand, in order of happening. */
export async function kinds({ shop, visit }: Schools, code: string): Promise<string[]> {
  await hasRead(visit.page)
  const steps = await shop.sql<{ kind: string }>(
    `SELECT s.kind FROM steps s JOIN lots l ON l.id = s.lot_id WHERE l.code = '${code}' AND s.voided = 0 ORDER BY s.from_at, s.id`,
  )
  return steps.map(step => step.kind)
}

/** From so many hours to so many, of an item of the plan that is open. */
export async function hours({ visit: { page } }: Schools, item: number, from: string, to: string): Promise<void> {
  const inputs = await page.$$(`[aria-label="After the cure"] li:nth-child(${item}) input[inputmode=decimal]`)
  for (const [i, text] of [from, to].entries()) {
    await inputs[i]!.click({ count: 3 })
    await page.keyboard.type(text)
  }
}

/** The row where it lies now: it stays under the finger for three seconds; whoever comes back sees it moved. */
export async function liesNow(schools: Schools, code: string, words: string): Promise<void> {
  await go(schools, '/cold-room')
  await rowSays(schools.visit.page, code, words)
}

/** Out, onto the rack, and felt until it is tacky. */
export async function outAndTacky(schools: Schools, code: string): Promise<void> {
  const { page } = schools.visit
  await tap(page, code, 'Out, rinsed')
  await liesNow(schools, code, 'drying on the rack since')
  await tap(page, code, 'Surface…')
  await tap(page, code, 'Tacky')
  await says(page, `${code}: surface tacky.`)
}

const LOGGED_EVERY_MINUTES = 15
const START_CORE_C = 5
const COLD_ROOM_C = 2
/** Newton's cooling, per minute: from 72 °C to 4 °C in four and a half hours. */
const COOLING = 0.0135

/** A heat as its maker means it: whole degrees, hours, and which pieces by the words of their buttons. */
export interface Heated {
  place?: string
  target?: number
  hours?: number
  /** Until the core is there; all of it, unless said. */
  comesUpIn?: number
  chamberC?: number
  /** The core as it goes in. */
  fromC?: number
  pieces?: string[]
  /** It goes on hot into what comes next. */
  stillHot?: boolean
}

/** Readings from a logger's file, of so many minutes until now. */
async function upload(
  { visit: { page } }: Schools,
  minutes: number,
  line: (minute: number) => (number | '')[],
): Promise<void> {
  const local = new Intl.DateTimeFormat('sv-SE', { timeZone: ZONE, dateStyle: 'short', timeStyle: 'short' })
  const lines: string[] = []
  for (let minute = 2; minute < minutes; minute += LOGGED_EVERY_MINUTES)
    lines.push(`${local.format(Date.now() - (minutes - minute) * 60_000)},${line(minute).join(',')}`)
  const file = join(tmpdir(), `veldmoor-${process.pid}-heat.csv`)
  writeFileSync(file, `Time,Chamber °C,Core °C\n${lines.join('\n')}\n`)
  const input = await page.waitForSelector('input[type="file"]')
  await (input as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile(file)
  await says(page, `${lines.length} readings recorded`)
}

/** A heat from the Smokehouse to the end of its cooling, by screens and a logger's files. Answers with its code. */
export async function heat(
  schools: Schools,
  code: string,
  {
    place = 'Smoker',
    target = 63,
    hours: long = 5,
    comesUpIn = long,
    chamberC = 80,
    fromC = START_CORE_C,
    pieces = ['All'],
    stillHot = false,
  }: Heated = {},
): Promise<string> {
  const { shop, visit: { page } } = schools
  await go(schools, '/smokehouse')
  await press(page, 'Start a smoke')
  for (const words of pieces)
    await until(
      page,
      (lot: string, said: string) => {
        const row = [...document.querySelectorAll('form .lot')].find(one => one.textContent?.includes(lot))
        const button = [...(row?.querySelectorAll('button') ?? [])].find(one => one.textContent?.trim().startsWith(said))
        button?.click()
        return button !== undefined
      },
      code,
      words,
    )
  if (place !== 'Smoker') await choose(page, 'Smoker', place)
  await type(page, 'Pull at core', String(target))
  await press(page, 'Into the smoke')
  await says(page, 'is in the smoke.')
  await until(page, () => location.pathname.startsWith('/runs/'))
  const run = await page.evaluate(() => location.pathname.split('/').at(-1)!)
  await pass(schools, long)
  await go(schools, `/runs/${run}`)
  const minutes = long * 60
  const isCold = target < 30
  await upload(schools, minutes, (minute) => {
    const share = Math.min(1, (minute - 2) / (comesUpIn * 60 - LOGGED_EVERY_MINUTES - 5))
    return [chamberC, isCold ? '' : Number((fromC + (target + 0.5 - fromC) * share).toFixed(1))]
  })
  await press(page, 'Pull')
  await says(page, `${run} is pulled.`)
  if (stillHot || isCold) return run
  await pass(schools, 6)
  await go(schools, `/runs/${run}`)
  await upload(schools, 6 * 60, minute => ['', Number((COLD_ROOM_C + (target - COLD_ROOM_C) * Math.exp(-COOLING * minute)).toFixed(1))])
  await says(page, 'cooled in time')
  expect(await shop.sql(`SELECT h.reason FROM holds h JOIN lots l ON l.id = h.lot_id WHERE l.code = '${code}'`)).toEqual([])
  return run
}

/** All of what is left of a lot onto the Slicing table, and into packs, its ends apart. Answers with how many packs it has. */
export async function slice(
  schools: Schools,
  code: string,
  readyG: number,
  { offcuts = {} as Record<string, number>, pieces = [] as string[] } = {},
): Promise<void> {
  const { visit: { page } } = schools
  await go(schools, `/slicing-table?lot=${code}`)
  await says(page, 'Slabs and packs of')
  for (const piece of pieces) await click(page, `form button[aria-label^="${piece}"]`)
  const label = await page.waitForFunction(() =>
    [...document.querySelectorAll('label')].find(one => one.textContent?.startsWith('Ready to slice'))?.textContent)
  await type(page, String(await label.jsonValue()), `${readyG} g`)
  let restG = readyG
  for (const [kind, massG] of Object.entries({ ends: 60, ...offcuts })) {
    await type(page, kind, `${massG} g`)
    restG -= massG
  }
  for (const share of [0.5, 0.5]) {
    await type(page, 'Next pack, net weight', `${Math.floor(restG * share)} g`)
    await page.keyboard.press('Enter')
  }
  await press(page, 'That was all of it')
  await press(page, 'Record 2 packs')
  await says(page, '2 packs: P-')
}
