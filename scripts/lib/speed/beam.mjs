import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startApp } from '../app-server.mjs'
import { ensureBuild } from '../build.mjs'
import { startMariadb } from '../mariadb.mjs'
import { prepare } from '../prepare.mjs'
import { freePort } from '../processes.mjs'
import { openBrowser, signIn } from './browser.mjs'

const SLOWDOWN = 4
const STROKES = 60
const PIECES = [4, 40]

/**
 * Script time of each key stroke in the weighed field, ms, until two frames later; and whether the beam moved with it.
 */
async function strokes(page, count) {
  const client = await page.createCDPSession()
  await client.send('Performance.enable')
  await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWDOWN })
  const scriptMs = async () =>
    (await client.send('Performance.getMetrics')).metrics.find(metric => metric.name === 'ScriptDuration').value * 1000
  const frames = () =>
    page.evaluate(
      () =>
        new Promise(resolve =>
          requestAnimationFrame(() =>
            requestAnimationFrame(() => resolve(document.querySelector('.beam svg').innerHTML.length)),
          ),
        ),
    )
  // What measuring itself costs, taken off.
  const idle = []
  for (let i = 0; i < 10; i++) {
    const before = await scriptMs()
    await frames()
    idle.push((await scriptMs()) - before)
  }
  const own = idle.toSorted((a, b) => a - b)[5]
  const taken = []
  for (let i = 0; i < count; i++) {
    if (i % 3 === 0) {
      await page.keyboard.down('Control')
      await page.keyboard.press('a')
      await page.keyboard.up('Control')
      await frames()
    }
    const before = await scriptMs()
    await page.keyboard.press('9124'[i % 3])
    await frames()
    taken.push((await scriptMs()) - before - own)
  }
  await client.send('Emulation.setCPUThrottlingRate', { rate: 1 })
  return taken.toSorted((a, b) => a - b)
}

/** Typing a weight on the Bench: script per key stroke on a processor slowed down four times. */
export async function measureBeam(given = null) {
  const folder = mkdtempSync(join(tmpdir(), 'veldmoor-beam-'))
  let [database, app, browser] = [null, null, null]
  try {
    if (!given) {
      const build = await ensureBuild()
      database = await startMariadb(join(folder, 'db'))
      await prepare(database)
      app = await startApp({
        entry: build.entry,
        port: await freePort(),
        databaseUrl: database.url,
        sessionSecret: database.sessionSecret,
        demo: true,
      })
    }
    const address = given ?? app.address
    browser = await openBrowser(folder)
    const page = await browser.newPage()
    await page.setViewport({ width: 1280, height: 800 })
    await signIn(page, address)
    for (const pieces of PIECES) {
      await page.evaluate(() => localStorage.removeItem('veldmoor-draft:bench'))
      await page.goto(`${address}/bench`, { waitUntil: 'networkidle0' })
      await page.focus('.entry input')
      for (let i = 0; i < pieces; i++) {
        await page.keyboard.type(String(240 + i))
        await page.keyboard.press('Enter')
      }
      await page.locator('::-p-aria([name="Salt, grams"] >>> input), .weighed input').wait()
      const fields = await page.$$('.weighed input')
      await fields[1].focus()
      await page.keyboard.type('227')
      await fields[0].focus()
      const taken = await strokes(page, STROKES)
      console.log(
        `  ${`typing a weight, ${pieces} pieces, processor slowed ${SLOWDOWN} times`.padEnd(58)} script median `
        + `${taken[STROKES / 2].toFixed(1)} ms, p90 ${taken[Math.floor(STROKES * 0.9)].toFixed(1)} ms a key`,
      )
    }
  }
  finally {
    await browser?.close()
    await app?.stop()
    await database?.stop()
    rmSync(folder, { recursive: true, force: true, maxRetries: 5 })
  }
}
