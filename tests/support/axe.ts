import axe from 'axe-core'
import type { Page } from 'puppeteer-core'
import { atRest, press } from './browser'

/** All of WCAG 2.2 AA, or the colours alone. */
async function violations(page: Page, runOnly: string[] | { type: 'rule'; values: string[] }): Promise<string[]> {
  const { violations: found } = await page.evaluate(
    // What passes need not be listed: it is not looked at.
    only => (window as unknown as { axe: typeof axe }).axe.run(document, { runOnly: only, resultTypes: ['violations'] }),
    runOnly,
  )
  return found.map(
    v =>
      `${v.id}: ${v.nodes
        .slice(0, 3)
        .map(n => n.html.slice(0, 120))
        .join(' | ')}`,
  )
}

/** What axe finds wrong on the page as it stands: everything by day, the colours again by night. */
export async function axeByDayAndNight(page: Page): Promise<string[]> {
  if (!(await page.evaluate('"axe" in window'))) await page.evaluate(axe.source)
  const byDay = await violations(page, ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
  await press(page, 'Night colours')
  await atRest(page)
  const byNight = await violations(page, { type: 'rule', values: ['color-contrast'] })
  await press(page, 'Day colours')
  return [...byDay, ...byNight]
}
