import type { ElementHandle, Page } from 'puppeteer-core'
import { until } from './browser'

const HELD_MS = 800

/** The row of a lot, in the place that it lies in. */
export const rowOf = async (page: Page, code: string): Promise<ElementHandle<Element>> =>
  (await page.waitForSelector(rowsOf(code)))!

const rowsOf = (code: string) => `article[aria-label^="Lot ${code}"]`
/** Says what the rows of a lot say, where something else was waited for. */
async function insteadOf(page: Page, code: string, wanted: string, cause: unknown): Promise<never> {
  const instead = await page.$$eval(rowsOf(code), found => found.map(one => one.textContent).join('\n'))
  throw new Error(`no row of ${code} ${wanted}, but:\n${instead}`, { cause })
}

/** A button in a row by the beginning of what it says. */
async function button(page: Page, code: string, words: string): Promise<ElementHandle<Element>> {
  const found = await page
    .waitForFunction(
      (lot: string, said: string) =>
        [...document.querySelectorAll<HTMLButtonElement>(`article[aria-label^="Lot ${lot}"] button`)].find(
          one =>
            !one.disabled
            && !one.matches('.v-btn--loading, .sending')
            && (one.textContent?.trim().startsWith(said) || one.getAttribute('aria-label')?.startsWith(said)),
        ) ?? false,
      { polling: 100 },
      code,
      words,
    )
    .catch(error => insteadOf(page, code, `has the button “${words}”`, error))
  const handle = found.asElement() as ElementHandle<Element>
  await handle.evaluate(one => one.scrollIntoView({ block: 'center' }))
  await liesStill(page, handle)
  return handle
}
/** As a person aims: at what has come to lie where it is. */
const liesStill = (page: Page, handle: ElementHandle<Element>) =>
  page.waitForFunction(
    (one: Element & { was?: string }) => {
      const { x, y } = one.getBoundingClientRect()
      const is = `${x} ${y}`
      const still = one.was === is
      one.was = is
      return still
    },
    { polling: 50 },
    handle,
  )
export const tap = async (page: Page, code: string, words: string) => (await button(page, code, words)).click()
/** A finger that stays. */
export const hold = async (page: Page, code: string, words: string) => (await button(page, code, words)).click({ delay: HELD_MS })
/** Waits until a row of the lot says it; when none does, tells what they say instead. */
export async function rowSays(page: Page, code: string, words: string): Promise<void> {
  try {
    await until(
      page,
      // Out of sight it is not drawn, and has no inner text.
      (where: string, said: string) => [...document.querySelectorAll(where)].some(one => one.textContent?.includes(said)),
      rowsOf(code),
      words,
    )
  }
  catch (error) {
    await insteadOf(page, code, `says “${words}”`, error)
  }
}
