import type { Fraction } from '#core/units/quantities'
import { formatNumber, formatPpm, formatPpmBeside, type Notation } from '#core/units/format'
import type { ResidualView } from '../contracts/lots'

const percent = (share: Fraction, as: Notation): string => `${formatNumber(share * 100, 1, as.decimal)} %`

/** How it is shown what is left of the nitrite in the product, or what would show it. */
export function residualWords(r: ResidualView, as: Notation): string {
  const limit = r.maxPpm === null ? 'the limit in the text' : `${formatPpm(r.maxPpm, as)} allowed`
  const bound = r.boundPpm !== null && r.maxPpm !== null ? formatPpmBeside(r.boundPpm, r.maxPpm, as) : null
  const least
    = r.leastYield === null || r.highPpm === null
      ? ''
      : ` At worst ${formatPpm(r.highPpm, as)} went in: under a yield of ${percent(r.leastYield, as)} this would no longer show it.`
  switch (r.by) {
    case 'laboratory':
      return `Shown by a laboratory result; ${limit} (${r.source}).`
    case 'mass_balance':
      return `Shown by mass balance, without a test: no more can be left than went in, at most ${bound}; ${limit} (${r.source}).${least}`
    case null:
      break
  }
  switch (r.why) {
    case 'lab_always':
      return `Your authority wants a laboratory result for every lot; ${limit} (${r.source}).`
    case 'nitrate':
      return `Nitrate went in, or a curing salt without a certificate: only a laboratory shows what is left; ${limit} (${r.source}).`
    case 'unweighed':
      return `Nitrite went on that nobody weighed, or after the cure: only a laboratory shows what is left; ${limit} (${r.source}).`
    case 'no_figure':
      return `The set in force has no figure for it: take it from the text (${r.source}), and have a laboratory look.`
    case 'not_finished':
      return `Not shown yet: the finished weight is missing; ${limit} (${r.source}).${least}`
    case 'over':
      return `Not shown: by its weights up to ${bound} may be left, and ${limit} (${r.source}). `
        + 'A laboratory result shows what it really is.'
    case null:
      return ''
  }
}
