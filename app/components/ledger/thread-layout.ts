import { groupBy } from '#core/lists/group-by'
import type { NodeKind } from '#core/trace/thread'
import type { ThreadNodeView, ThreadView } from '#shared/contracts/thread'

/** Columns in the order matter moves. */
const COLUMN_OF: Record<NodeKind, number> = {
  supplier: 0,
  meat: 1,
  ingredient: 1,
  lot: 2,
  run: 3,
  pack: 4,
  customer: 5,
}
export const COLUMN_NAMES = ['Supplier', 'Came in', 'Lot', 'Smoke', 'Packs', 'Customer'] as const

export interface KnotNode extends ThreadNodeView {
  column: number
  x: number
  y: number
}
export interface ThreadLayout {
  nodes: KnotNode[]
  links: { from: KnotNode; to: KnotNode }[]
  width: number
  height: number
}

/**
 * Places every knot in its column, and columns side by side over `width` px; `rowH` px a knot. Time and room grow with
 * what is drawn.
 */
export function layOut(thread: ThreadView, width: number, rowH: number): ThreadLayout {
  const byColumn = groupBy(thread.nodes, node => COLUMN_OF[node.kind])
  const columns = COLUMN_NAMES.map((_, column) =>
    (byColumn.get(column) ?? []).toSorted((a, b) => (a.code < b.code ? -1 : 1)),
  )
  const height = Math.max(1, ...columns.map(column => column.length)) * rowH
  const columnW = width / COLUMN_NAMES.length
  const nodes = columns.flatMap((nodesIn, column) =>
    nodesIn.map((node, i): KnotNode => ({
      ...node,
      column,
      x: column * columnW + 12,
      y: ((i + 0.5) * height) / nodesIn.length,
    })),
  )
  const knotOf = new Map(nodes.map(node => [node.code, node]))
  const links = thread.links.flatMap((link) => {
    const [from, to] = [knotOf.get(link.from), knotOf.get(link.to)]
    return from && to ? [{ from, to }] : []
  })
  return { nodes, links, width, height }
}
