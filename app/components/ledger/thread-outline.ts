import { groupBy } from '#core/lists/group-by'
import type { ThreadNodeView, ThreadView } from '#shared/contracts/thread'

export interface OutlineRow { code: string, title: string, held: boolean, packs: number, massG: number }
export interface ThreadOutline { lots: OutlineRow[], customers: OutlineRow[], unsent: { packs: number, massG: number }, packs: number, massG: number }

const add = (nodes: readonly ThreadNodeView[]) => ({
  packs: nodes.reduce((sum, node) => sum + (node.packs ?? 0), 0), massG: nodes.reduce((sum, node) => sum + (node.massG ?? 0), 0),
})

/** A thread as lists: its lots, and who has how many packs of them and how heavy. No gram is counted twice or left out. */
export function outlineOf({ nodes, links }: ThreadView): ThreadOutline {
  const byCode = new Map(nodes.map(node => [node.code, node]))
  const packs = nodes.filter(node => node.kind === 'pack')
  const customerOf = new Map(links.flatMap(link => byCode.get(link.from)?.kind === 'pack' && byCode.get(link.to)?.kind === 'customer' ? [[link.from, link.to] as const] : []))
  const toCustomer = groupBy(packs, pack => customerOf.get(pack.code))
  const into = groupBy(links, link => link.to)
  // A pack comes out of a smoke of its lot, or out of the lot itself.
  const lotOf = (pack: ThreadNodeView): string | undefined => pack.code.split(' ')[0]!.startsWith('L-')
    ? pack.code.split(' ')[0]
    : (into.get(pack.code) ?? []).flatMap(link => byCode.get(link.from)?.kind === 'lot' ? [link.from] : (into.get(link.from) ?? []).map(before => before.from)).find(code => byCode.get(code)?.kind === 'lot')
  const ofLot = groupBy(packs, lotOf)
  const row = (node: ThreadNodeView, mine: readonly ThreadNodeView[]): OutlineRow => ({ code: node.code, title: node.title, held: node.held, ...add(mine) })
  return {
    lots: nodes.filter(node => node.kind === 'lot').map(node => row(node, ofLot.get(node.code) ?? [])).toSorted((a, b) => a.code < b.code ? 1 : -1),
    customers: nodes.filter(node => node.kind === 'customer').map(node => row(node, toCustomer.get(node.code) ?? [])).toSorted((a, b) => b.massG - a.massG),
    unsent: add(toCustomer.get(undefined) ?? []), ...add(packs),
  }
}
