import { formatNumber, formatPercent, type Notation } from '#core/units/format'
import type { Milliseconds } from '#core/units/quantities'
import type { HangFacts } from '~/logic/hang-facts'

/** Fewer than so many in a hundred get there: it is said. House. */
const HARDLY = 0.2

/** "lost 28 %, to 35 to 40 %: about 12 Dec, 9 to 17 Dec". `day`: how a date is written. */
export function hangWords({ lost, from, to, forecast }: HangFacts, as: Notation, day: (ms: Milliseconds) => string): string {
  const meant = `${formatNumber(100 * from, 0, as.decimal)} to ${formatPercent(to, as, 0)}`
  if (lost === null) return `to lose ${meant}, not weighed yet`
  const said = `lost ${formatPercent(Math.max(0, lost), as, 0)} of ${meant}`
  if (lost > to) return `${said}: over-dried`
  if (lost >= from) return `${said}: dry enough`
  if (!forecast) return `${said}: the day is not to be told yet`
  const when = `about ${day(forecast.likelyMs)}, between ${day(forecast.fromMs)} and ${day(forecast.toMs)}`
  return forecast.reaches < HARDLY ? `${said}: by its weights it hardly gets there` : `${said}: ${when}`
}
