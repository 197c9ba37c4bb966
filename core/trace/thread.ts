import { groupBy } from '../lists/group-by'

/** One thing a thread passes through, by its code. */
export const NODE_KINDS = ['supplier', 'meat', 'ingredient', 'lot', 'run', 'pack', 'customer'] as const
export type NodeKind = (typeof NODE_KINDS)[number]

export interface ThreadNode {
  code: string
  kind: NodeKind
}
/** Matter goes from one to the other. */
export interface ThreadLink {
  from: string
  to: string
}

export interface Reached {
  back: Set<string>
  forth: Set<string>
}

function reach(start: string, next: ReadonlyMap<string, readonly string[]>): Set<string> {
  const seen = new Set<string>()
  const open = [start]
  while (open.length > 0) {
    for (const code of next.get(open.pop()!) ?? []) {
      if (seen.has(code)) continue
      seen.add(code)
      open.push(code)
    }
  }
  return seen
}

const ends = (links: readonly ThreadLink[], key: 'from' | 'to', value: 'from' | 'to'): Map<string, string[]> =>
  new Map([...groupBy(links, link => link[key])].map(([code, mine]) => [code, mine.map(link => link[value])]))

/**
 * Everything that went into a code, and everything it went into, both without the code itself.
 * Links may hold circles; an unknown code reaches nothing.
 */
export const threadFrom = (code: string, links: readonly ThreadLink[]): Reached => ({
  back: reach(code, ends(links, 'to', 'from')),
  forth: reach(code, ends(links, 'from', 'to')),
})
