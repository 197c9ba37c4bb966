import { mkdtempSync } from 'node:fs'
import { join } from 'node:path'
import puppeteer, { type Browser, type ElementHandle, type Page } from 'puppeteer-core'
import { setting } from './setting'

const SWITCHES = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]
// A busy computer may be ten times slower than a free one.
const PATIENCE_MS = 60_000
const ASKED_TIMES = 4

export interface Visit {
  page: Page
  faults: string[]
  close: () => Promise<void>
}

/** Chromium stands still where its clock is set and its timers are not: at another hour, both. */
const ownTimers = ({ FAKETIME_DONT_FAKE_MONOTONIC: _apart, DONT_FAKE_MONOTONIC: _old, ...env }: NodeJS.ProcessEnv) => env

/**
 * The Chromium of this worker, for all its files; it ends with the worker, and is started anew if it broke. Its profile
 * lies with the run's reports and goes with them: a worker that is ended takes nothing away.
 */
let running: Promise<Browser> | null = null
const chromium = () =>
  (running ??= puppeteer
    .launch({
      executablePath: '/usr/bin/chromium',
      headless: true,
      args: SWITCHES,
      userDataDir: mkdtempSync(join(setting('REPORTS'), 'chromium-')),
      env: ownTimers(process.env),
    })
    .then((browser) => {
      browser.once('disconnected', () => (running = null))
      return browser
    }))

/** A browser as somebody opens it who was never here, with one page; what goes wrong in the page is collected in `faults`. */
export async function openBrowser(width = 1280, height = 800): Promise<Visit> {
  const context = await (await chromium()).createBrowserContext()
  const page = await context.newPage()
  await page.setViewport({ width, height })
  // Nothing tested here moves, and a slow computer draws every frame of what does.
  await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }])
  page.setDefaultTimeout(PATIENCE_MS)
  await countAsked(page)
  const faults: string[] = []
  page.on('pageerror', error => faults.push(String(error)))
  // The browser itself logs every refused request; those are looked at where they are caused.
  page.on('console', (message) => {
    if (message.type() === 'error' && !message.text().startsWith('Failed to load resource')) faults.push(message.text())
  })
  return {
    page,
    faults,
    close: () => context.close(),
  }
}

/** What a page has asked of the server and not been told yet; kept by the page itself, from its first script on. */
interface Asking {
  unanswered: number
}
const countAsked = (page: Page) =>
  page.evaluateOnNewDocument(() => {
    const self = globalThis as unknown as Asking & { fetch: typeof fetch }
    const { fetch } = self
    self.unanswered = 0
    self.fetch = async (...asked) => {
      self.unanswered++
      try {
        const answer = await fetch(...asked)
        await answer.clone().arrayBuffer()
        return answer
      }
      finally {
        self.unanswered--
      }
    }
  })

/** The application stands on the page, and has been told all that it asked, also what it asked upon that. */
export async function hasRead(page: Page): Promise<void> {
  await page.waitForSelector('h1')
  await until(page, async () => {
    const self = globalThis as unknown as Asking
    for (let frame = 0; frame < 3; frame++) {
      if (self.unanswered > 0) return false
      await new Promise(requestAnimationFrame)
    }
    return self.unanswered === 0
  })
}
/** A page by its address, as from a bookmark: the application starts anew. Waits until it has read what it shows. */
export async function load(page: Page, address: string): Promise<void> {
  await page.goto(address)
  await hasRead(page)
}
/** The page that is open, once more. */
export async function reload(page: Page): Promise<void> {
  await page.reload()
  await hasRead(page)
}

interface Router {
  currentRoute: { value: { path: string } }
  push: (to: string) => Promise<unknown>
}
/** It reads nothing: from here every page is a page further on. */
const NEUTRAL = '/office'

/** A page as by a link on the one that is open; one that is open already is opened anew. */
export async function follow(page: Page, path: string): Promise<void> {
  // What was pressed a moment ago is recorded before the next page reads.
  await hasRead(page)
  await page.evaluate(
    async (to: string, between: string) => {
      const root = document.querySelector('#__nuxt') as unknown as {
        __vue_app__: { config: { globalProperties: { $router: Router } } }
      }
      const router = root.__vue_app__.config.globalProperties.$router
      if (router.currentRoute.value.path === to.split(/[?#]/)[0]) await router.push(between)
      await router.push(to)
    },
    path,
    NEUTRAL,
  )
  await hasRead(page)
}

/**
 * Waits until the page answers yes. Asked ten times a second: asked with every frame, a page is kept drawing for
 * nothing.
 */
export const until = <A extends unknown[]>(page: Page, test: (...args: A) => unknown, ...args: A) =>
  page
    .waitForFunction(test as never, { polling: 100 }, ...(args as never[]))
    .catch(error => insteadOf(page, `came to ${test} of ${args}`, error))

/** Tells what the page says, what has the keyboard and what lies over it, where something else was waited for. */
async function insteadOf(page: Page, wanted: string, cause: unknown): Promise<never> {
  const instead = await page.evaluate(() =>
    [
      document.body.innerText.slice(0, 2000),
      location.pathname,
      ...[document.activeElement, ...document.querySelectorAll('[inert], [aria-modal="true"], .v-overlay--active')].map(one =>
        one?.outerHTML.slice(0, 300),
      ),
    ].join('\n'),
  )
  throw new Error(`the page never ${wanted}, but:\n${instead}`, { cause })
}

/** The page has drawn what it was told: frames have passed, fonts are there, and nothing moves any more. */
export const atRest = (page: Page) =>
  page.evaluate(async () => {
    await document.fonts.ready
    const frame = () => new Promise(requestAnimationFrame)
    for (const endMs = performance.now() + 5000; performance.now() < endMs;) {
      await frame()
      await frame()
      if (document.getAnimations().every(one => one.playState !== 'running')) return
    }
  })

/**
 * What has that accessible name. Asked anew now and then, and said so: while a page changes, an answer of the
 * accessibility tree can be lost on its way, and no other is waited for.
 */
async function named(page: Page, aria: string): Promise<ElementHandle> {
  for (let left = ASKED_TIMES - 1; ; left--) {
    try {
      return (await page.locator(`::-p-aria(${aria})`).setTimeout(PATIENCE_MS / ASKED_TIMES).waitHandle()) as ElementHandle
    }
    catch (error) {
      if (left === 0) await insteadOf(page, `had ${aria}`, error)
      console.warn(`  asked anew for ${aria}`)
    }
  }
}

/** The field with that label. */
const field = (page: Page, label: string) => named(page, `[name="${label}"]`)

/** A click on what a selector finds, once it lies still. */
export const click = (page: Page, selector: string) =>
  page.locator(selector).click().catch(error => insteadOf(page, `let ${selector} be clicked`, error))

/** Types into a labelled field, in place of what was there. */
export async function type(page: Page, label: string, text: string): Promise<void> {
  const found = await field(page, label)
  // A table's cell takes its name from the field in it.
  const input = await found.evaluateHandle(el =>
    (el as Element).matches('input, textarea')
      ? (el as HTMLElement)
      : ((el as Element).querySelector('input, textarea') as HTMLElement),
  )
  await input.focus()
  await page.keyboard.down('Control')
  await page.keyboard.press('a')
  await page.keyboard.up('Control')
  await page.keyboard.type(text)
}

/**
 * Presses a button or link with the keyboard: focus, then Enter. Waits, as a person would, while it is grey or busy
 * with the press before.
 */
export async function press(
  page: Page,
  name: string,
  role: 'button' | 'link' | 'checkbox' = 'button',
  key: 'Enter' | 'Space' = 'Enter',
): Promise<void> {
  const handle = await named(page, `[name="${name}"][role="${role}"]`)
  await until(
    page,
    (el: Element) => !(el as HTMLButtonElement).disabled && !el.matches('.v-btn--loading, .sending'),
    handle,
  )
  await handle.focus()
  await page.keyboard.press(key)
}

/** Waits until the page says it; when it does not, tells what the page says instead. */
export async function says(page: Page, text: string): Promise<void> {
  try {
    await page.waitForFunction(
      // Rows out of sight are not drawn, and have no inner text.
      (wanted: string) =>
        document.body.innerText.includes(wanted)
        || [...document.querySelectorAll('[data-lot]')].some(row => row.textContent?.includes(wanted)),
      { polling: 100 },
      text,
    )
  }
  catch (error) {
    await insteadOf(page, `said “${text}”`, error)
  }
}

/** `g` and a room's letter, as from the key list. */
export async function goTo(page: Page, key: string, heading: string): Promise<void> {
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
  await page.keyboard.press('g')
  await page.keyboard.press(key as 't')
  await until(page, (wanted: string) => document.querySelector('h1')?.textContent?.includes(wanted), heading)
}

/** Chooses from a list by its label and the words of the choice. */
export async function choose(page: Page, label: string, option: string): Promise<void> {
  await (await field(page, label)).click()
  await until(
    page,
    (wanted: string) => {
      const item = [...document.querySelectorAll<HTMLElement>('.v-overlay--active .v-list-item')].find(one =>
        one.innerText.includes(wanted),
      )
      item?.click()
      return item !== undefined
    },
    option,
  )
  await until(page, () => document.querySelector('.v-overlay--active .v-list-item') === null)
}
