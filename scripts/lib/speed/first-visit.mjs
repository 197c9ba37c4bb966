import { openBrowser, signIn } from './browser.mjs'

const kb = parts => Math.round(parts.reduce((sum, part) => sum + part.bytes, 0) / 1000)

/** What comes over the line when somebody who is signed in opens Today with nothing kept from before. */
export async function firstVisit(address, folder) {
  const browser = await openBrowser(folder)
  try {
    const page = await browser.newPage()
    await signIn(page, address)
    const client = await page.createCDPSession()
    await client.send('Network.enable')
    await client.send('Network.setCacheDisabled', { cacheDisabled: true })
    const urls = new Map()
    const parts = []
    client.on('Network.responseReceived', ({ requestId, response }) => urls.set(requestId, response.url))
    client.on('Network.loadingFinished', ({ requestId, encodedDataLength }) =>
      parts.push({ url: urls.get(requestId) ?? '', bytes: encodedDataLength }),
    )
    await page.goto(address, { waitUntil: 'networkidle0' })
    const scripts = parts.filter(part => part.url.endsWith('.js'))
    return { requests: parts.length, kb: kb(parts), scripts: scripts.length, scriptsKb: kb(scripts) }
  }
  finally {
    await browser.close()
  }
}
