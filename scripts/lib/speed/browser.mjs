import { join } from 'node:path'
import { ensureChromium } from '../packages.mjs'

/** Chromium without a window; what it keeps lies in the folder. */
export async function openBrowser(folder) {
  await ensureChromium()
  const { default: puppeteer } = await import('puppeteer-core')
  return puppeteer.launch({
    executablePath: '/usr/bin/chromium',
    headless: true,
    args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'],
    userDataDir: join(folder, 'profile'),
  })
}

/** Signs the demo's owner in by the form, and waits until Today is there. */
export async function signIn(page, address) {
  await page.goto(address, { waitUntil: 'networkidle0' })
  await page.type('input[autocomplete=username]', 'marit')
  await page.type('input[type=password]', 'bacon-and-brine')
  await page.keyboard.press('Enter')
  await page.waitForSelector('.room-strip')
}
