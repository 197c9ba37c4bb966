import { expect, it } from 'vitest'
import type { ThreadView } from '#shared/contracts/thread'
import { layOut } from './thread-layout'

const node = (code: string, kind: ThreadView['nodes'][number]['kind'], massG: number | null = null) => ({
  code,
  kind,
  title: kind,
  detail: '',
  massG,
  held: false,
})
const packs = Array.from({ length: 20 }, (_, i) => node(`P-${i}`, 'pack', 100 + i))
const thread: ThreadView = {
  code: 'L-1',
  outline: null,
  nodes: [node('M-1', 'meat'), node('L-1', 'lot', 3000), ...packs, node('c1', 'customer'), node('c2', 'customer')],
  links: [
    { from: 'M-1', to: 'L-1' },
    ...packs.map(p => ({ from: 'L-1', to: p.code })),
    ...packs.map((p, i) => ({ from: p.code, to: i < 12 ? 'c1' : 'c2' })),
    { from: 'L-1', to: 'P-gone' },
  ],
}

it('draws every node once and every line between two that are drawn', () => {
  const { nodes, links } = layOut(thread, 1200, 50)
  expect(nodes.map(n => n.code).toSorted()).toEqual(thread.nodes.map(n => n.code).toSorted())
  expect(links.map(l => `${l.from.code}>${l.to.code}`)).toEqual(thread.links.slice(0, -1).map(l => `${l.from}>${l.to}`))
})
it('puts no knot on another, and matter goes from left to right', () => {
  const { nodes, links } = layOut(thread, 1200, 50)
  expect(new Set(nodes.map(n => `${n.x},${n.y}`)).size).toBe(nodes.length)
  expect(links.every(l => nodes.includes(l.from) && nodes.includes(l.to) && l.from.x < l.to.x)).toBe(true)
})
