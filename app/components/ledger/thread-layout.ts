import type { NodeKind } from '#core/trace/thread'
import type { ThreadNodeView, ThreadView } from '#shared/contracts/thread'

/** Columns in the order matter moves. */
const COLUMN_OF: Record<NodeKind, number> = { supplier: 0, meat: 1, ingredient: 1, lot: 2, run: 3, pack: 4, customer: 5 }
export const COLUMN_NAMES = ['Supplier', 'Came in', 'Lot', 'Smoke', 'Packs', 'Customer'] as const
const PACKS_SHOWN_SINGLY = 6

export interface KnotNode extends ThreadNodeView { column: number, x: number, y: number, members: ThreadNodeView[] }
export interface ThreadLayout { nodes: KnotNode[], links: { from: KnotNode, to: KnotNode }[], width: number, height: number }

/** Many packs that come from one place and go to one place are drawn as one bundle. */
function bundles(thread: ThreadView): Map<string, ThreadNodeView[]> {
  const packs = thread.nodes.filter(node => node.kind === 'pack')
  if (packs.length <= PACKS_SHOWN_SINGLY) return new Map(packs.map(pack => [pack.code, [pack]]))
  const ends = (code: string) => thread.links.filter(link => link.from === code || link.to === code)
    .map(link => link.from === code ? `>${link.to}` : `<${link.from}`).toSorted().join('|')
  const groups = new Map<string, ThreadNodeView[]>()
  for (const pack of packs) {
    // The pack that was asked for stays by itself.
    const key = pack.code === thread.code ? pack.code : ends(pack.code)
    groups.set(key, [...groups.get(key) ?? [], pack])
  }
  return groups
}

/** Places every knot in its column, and columns side by side over `width` px; `rowH` px a knot. */
export function layOut(thread: ThreadView, width: number, rowH: number): ThreadLayout {
  const groups = [...bundles(thread).values()]
  const knots: Omit<KnotNode, 'x' | 'y'>[] = [
    ...thread.nodes.filter(node => node.kind !== 'pack').map(node => ({ ...node, column: COLUMN_OF[node.kind], members: [node] })),
    ...groups.map(members => ({
      ...members[0]!, column: COLUMN_OF.pack, members, massG: members.reduce((sum, pack) => sum + (pack.massG ?? 0), 0),
      title: members.length > 1 ? `${members.length} packs` : members[0]!.title,
    })),
  ]
  const columns = COLUMN_NAMES.map((_, column) => knots.filter(knot => knot.column === column).toSorted((a, b) => a.code < b.code ? -1 : 1))
  const height = Math.max(1, ...columns.map(column => column.length)) * rowH
  const columnW = width / COLUMN_NAMES.length
  const nodes = columns.flatMap((column, c) => column.map((knot, i): KnotNode => ({
    ...knot, x: c * columnW + 12, y: (i + 0.5) * height / column.length,
  })))
  const knotOf = (code: string) => nodes.find(node => node.members.some(member => member.code === code))
  const drawn = new Map<string, { from: KnotNode, to: KnotNode }>()
  for (const link of thread.links) {
    const [from, to] = [knotOf(link.from), knotOf(link.to)]
    if (from && to) drawn.set(`${from.code}>${to.code}`, { from, to })
  }
  return { nodes, links: [...drawn.values()], width, height }
}
