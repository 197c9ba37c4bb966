import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startApp } from '../app-server.mjs'
import { ensureBuild } from '../build.mjs'
import { connectAsOwner } from '../grow/tables.mjs'
import { startMariadb } from '../mariadb.mjs'
import { prepare } from '../prepare.mjs'
import { freePort } from '../processes.mjs'
import { median, rank, sorted } from '../ranks.mjs'
import { openBrowser, signIn } from './browser.mjs'
import { fillColdRoom } from './busy-room.mjs'

const SLOWDOWN = 4
const TAPS = 24
/** Event Timing gives durations in steps of 8 ms: a frame of 16.7 ms reads as 16 or 24. */
const LEAST_MS = 16

/** Has the page keep how long each press took until the frame that shows it. Source: W3C Event Timing. */
const watchTaps = (page, leastMs) =>
  page.evaluate((durationThreshold) => {
    globalThis.taps = []
    const observer = new PerformanceObserver((list) => {
      for (const entry of /** @type {PerformanceEventTiming[]} */ (list.getEntries()))
        if (entry.name === 'click' || entry.name === 'pointerdown')
          globalThis.taps.push({ name: entry.name, ms: entry.duration, script: entry.processingEnd - entry.processingStart })
    })
    observer.observe(/** @type {PerformanceObserverInit} */ ({ type: 'event', durationThreshold }))
  }, leastMs)

/** Has the page keep how long each click took from its first listener until the frame after it was painted. */
const watchDrawn = page =>
  page.evaluate(() => {
    globalThis.drawn = []
    document.addEventListener(
      'click',
      () => {
        const began = performance.now()
        requestAnimationFrame(() => {
          const { port1, port2 } = new MessageChannel()
          port1.onmessage = () => globalThis.drawn.push(performance.now() - began)
          port2.postMessage(null)
        })
      },
      true,
    )
  })

/** Taps since they were last taken. */
const takeTaps = page => page.evaluate(() => globalThis.taps.splice(0))

function say(words, taps, name) {
  const some = taps.filter(tap => tap.name === name)
  // What took less is not told.
  const shown = sorted([...some.map(tap => tap.ms), ...Array(Math.max(0, TAPS - some.length)).fill(LEAST_MS)])
  const script = some.map(tap => tap.script)
  console.log(
    `    ${words.padEnd(38)} median ${median(shown)} ms, p90 ${rank(shown, 0.9)} ms; `
    + `script median ${median(script.length ? script : [0]).toFixed(1)} ms`,
  )
}

/** "Turned" tapped in so many rows of the Cold room, forty lots in it, on a processor slowed down. */
export async function measureTap() {
  const folder = mkdtempSync(join(tmpdir(), 'veldmoor-tap-'))
  const { entry } = await ensureBuild()
  const database = await startMariadb(join(folder, 'db'), { durable: false })
  let [app, browser] = [null, null]
  try {
    await prepare(database)
    app = await startApp({
      entry,
      port: await freePort(),
      databaseUrl: database.url,
      sessionSecret: database.sessionSecret,
      demo: true,
    })
    const owner = await connectAsOwner(database.adminUrl)
    await fillColdRoom(owner)
    await owner.end()
    browser = await openBrowser(folder)
    const page = await browser.newPage()
    await page.setViewport({ width: 820, height: 1180, hasTouch: true })
    await signIn(page, app.address)
    await page.goto(`${app.address}/cold-room`, { waitUntil: 'networkidle0' })
    const rows = (await page.$$('.cure-row')).slice(-TAPS)
    await watchTaps(page, LEAST_MS)
    const client = await page.createCDPSession()
    await client.send('Emulation.setCPUThrottlingRate', { rate: SLOWDOWN })
    for (const row of rows) {
      const verb = await row.$('.verb')
      await verb.evaluate(button => button.scrollIntoView({ block: 'center' }))
      await page.evaluate(() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done))))
      const answered = page.waitForResponse(answer => answer.url().endsWith('/api/steps'))
      await verb.tap()
      await answered
      // The row stands still again.
      await new Promise(done => setTimeout(done, 600))
    }
    const taps = await takeTaps(page)
    await watchDrawn(page)
    for (const slab of (await page.$$('.slab')).slice(-TAPS)) {
      await slab.evaluate(button => button.scrollIntoView({ block: 'center' }))
      await page.evaluate(() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done))))
      await slab.tap()
      await new Promise(done => setTimeout(done, 300))
    }
    const pressed = await takeTaps(page)
    const drawnMs = sorted(await page.evaluate(() => globalThis.drawn))
    await client.send('Emulation.setCPUThrottlingRate', { rate: 1 })
    console.log(`  a tap in the Cold room, ${rows.length} rows, processor slowed ${SLOWDOWN} times (times in steps of 8 ms)`)
    say('the pressed verb on screen', taps, 'pointerdown')
    say('taken, and on its way', taps, 'click')
    const drawn = await page.$$eval('.slab', found => found.length)
    console.log(`  a tap on a piece as its place is drawn, ${drawn} pieces on the page`)
    say('the pressed piece on screen', pressed, 'pointerdown')
    console.log(`    ${'chosen: handled, drawn and painted'.padEnd(38)} median ${median(drawnMs).toFixed(0)} ms, `
      + `p90 ${rank(drawnMs, 0.9).toFixed(0)} ms`)
  }
  finally {
    await browser?.close()
    await app?.stop()
    await database.stop()
    rmSync(folder, { recursive: true, force: true, maxRetries: 5 })
  }
}
