import { PAGES } from './pages'

/** A page that is found by what it is called, or by what stands on it. */
interface FoundPage {
  to: string
  name: string
  holds: string
  own: boolean
}
const NAMED: readonly FoundPage[] = PAGES.flatMap(({ path, name, holds = '', own = false }) =>
  name ? [{ to: path, name, holds, own }] : [],
)
/** Shorter than this, too much begins so. */
const LEAST_LETTERS = 2
const MOST_SHOWN = 6

/**
 * Pages for what was typed, the best first: those whose name begins so, those with a word in their name that does, those
 * with one in what they hold. "pin" finds My own, "sm" the Smokehouse before the places with their smokers.
 */
export function findPages(typed: string, { own }: { own: boolean }): FoundPage[] {
  const wanted = typed.trim().toLowerCase()
  if (wanted.length < LEAST_LETTERS) return []
  const begins = (words: string) => words.toLowerCase().split(/[^\p{L}\p{N}]+/u).some(word => word.startsWith(wanted))
  const rank = ({ name, holds }: FoundPage) =>
    name.toLowerCase().startsWith(wanted) ? 0 : begins(name) ? 1 : begins(holds) ? 2 : 3
  return NAMED.filter(page => rank(page) < 3 && (own || !page.own))
    .toSorted((a, b) => rank(a) - rank(b))
    .slice(0, MOST_SHOWN)
}
