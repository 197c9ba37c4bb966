import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startApp } from './lib/app-server.mjs'
import { ensureBuild } from './lib/build.mjs'
import { startMariadb } from './lib/mariadb.mjs'
import { ensureChromium, ensureMariadb, ensureNodePackages } from './lib/packages.mjs'
import { at } from './lib/paths.mjs'
import { prepare } from './lib/prepare.mjs'
import { freePort } from './lib/processes.mjs'
import { main, step } from './lib/steps.mjs'

const LAPTOP = { width: 1280, height: 800 }
const TABLET = { width: 820, height: 1180 }
const PHONE = { width: 390, height: 844 }

/** The main views, from a fresh demo shop. `before` brings the page into the state that is shown. */
const VIEWS = [
  { file: 'today', path: '/', size: LAPTOP },
  { file: 'store', path: '/store', size: LAPTOP },
  { file: 'delivery-tablet', path: '/store', size: TABLET, before: openDelivery },
  { file: 'salt-ledger', path: '/store/salt-ledger', size: LAPTOP },
  { file: 'bench', path: '/bench', size: LAPTOP, before: weighPieces },
  { file: 'spoons', path: '/bench/spoons', size: LAPTOP },
  { file: 'recipe-book', path: '/recipe-book', size: LAPTOP, before: openOrchard },
  { file: 'cold-room', path: '/cold-room', size: LAPTOP },
  { file: 'cold-room-tablet', path: '/cold-room', size: TABLET },
  { file: 'cold-room-phone', path: '/cold-room', size: PHONE },
  { file: 'smokehouse', path: '/smokehouse', size: LAPTOP },
  { file: 'smoke', path: '/runs/S-0001', size: LAPTOP },
  { file: 'smoke-night-tablet', path: '/runs/S-0003', size: TABLET, night: true },
  { file: 'slicing-table', path: '/slicing-table', size: LAPTOP },
  { file: 'ledger', path: '/ledger?code=L-0001', size: LAPTOP },
  { file: 'lot', path: '/lots/L-0003', size: LAPTOP },
  { file: 'lot-book', path: '/lots/L-0003', size: LAPTOP, before: toTheBook },
  { file: 'office', path: '/office', size: LAPTOP },
  { file: 'sign-tablet', path: '/cold-room', size: TABLET, shared: true, before: askWhoSigns },
]

const pressButton = (page, words) =>
  page.evaluate(
    text => [...document.querySelectorAll('button')].find(button => button.textContent.includes(text)).click(),
    words,
  )

async function openDelivery(page) {
  await pressButton(page, 'Receive meat')
  await new Promise(resolve => setTimeout(resolve, 500))
  await pressButton(page, 'All four good')
}

async function openOrchard(page) {
  await page.evaluate(() => {
    const named = [...document.querySelectorAll('.name')].filter(one => one instanceof HTMLElement)
    named.find(one => one.textContent.includes('Orchard')).click()
  })
}

async function toTheBook(page) {
  await page.evaluate(() => {
    ;[...document.querySelectorAll('tr')]
      .find(row => row.textContent.includes('Corrected'))
      .querySelector('button')
      .click()
    document.querySelector('#book-head').scrollIntoView()
  })
}

async function askWhoSigns(page) {
  await pressButton(page, 'Turned, all pieces')
  await new Promise(resolve => setTimeout(resolve, 800))
  await pressButton(page, 'TV')
  for (const digit of '28') await page.keyboard.press(digit)
}

async function weighPieces(page) {
  await page.focus('.entry input')
  for (const weight of ['2.415 kg', '4 lb 15 oz', '2450 - 310', '1.98 kg']) {
    await page.keyboard.type(weight)
    await page.keyboard.press('Enter')
  }
  await page.evaluate(() => window.scrollTo(0, 0))
}

async function signIn(page, address, shared = false) {
  await page.deleteCookie(...(await page.cookies(address)))
  await page.goto(address, { waitUntil: 'networkidle0' })
  await page.type('input[autocomplete=username]', 'marit')
  await page.type('input[type=password]', 'bacon-and-brine')
  if (shared) {
    await page.click('input[type=checkbox]')
    await page.waitForSelector('input[maxlength="60"]')
    await page.type('input[maxlength="60"]', 'Cold-room tablet')
  }
  await page.keyboard.press('Enter')
  await page.waitForSelector('.room-strip')
}

await main(async () => {
  await step('packages', ensureNodePackages)
  await step('MariaDB', ensureMariadb)
  await step('Chromium', ensureChromium)
  const folder = mkdtempSync(join(tmpdir(), 'veldmoor-pictures-'))
  const build = await step('build', ensureBuild)
  const database = await startMariadb(join(folder, 'db'))
  await step('schema', () => prepare(database))
  const app = await startApp({
    entry: build.entry,
    port: await freePort(),
    databaseUrl: database.url,
    sessionSecret: database.sessionSecret,
    demo: true,
  })
  const { default: puppeteer } = await import('puppeteer-core')
  const browser = await puppeteer.launch({
    executablePath: '/usr/bin/chromium',
    headless: true,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
    userDataDir: join(folder, 'profile'),
  })
  try {
    const page = await browser.newPage()
    await signIn(page, app.address)
    mkdirSync(at('docs', 'screenshots'), { recursive: true })
    for (const view of VIEWS) {
      await step(view.file, async () => {
        await page.setViewport(view.size)
        if (view.shared) await signIn(page, app.address, true)
        await page.evaluate(night => localStorage.setItem('veldmoor-night', night ? '1' : ''), view.night ?? false)
        await page.goto(app.address + view.path, { waitUntil: 'networkidle0' })
        await new Promise(resolve => setTimeout(resolve, 700))
        await view.before?.(page)
        await page.evaluate(() => /** @type {HTMLElement | null} */ (document.activeElement)?.blur())
        await new Promise(resolve => setTimeout(resolve, 500))
        await page.screenshot({ path: at('docs', 'screenshots', `${view.file}.png`) })
      })
    }
  }
  finally {
    await browser.close()
    await app.stop()
    await database.stop()
    rmSync(folder, { recursive: true, force: true, maxRetries: 5 })
  }
})
