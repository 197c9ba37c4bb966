import { expect, it } from 'vitest'
import type { ThreadView } from '#shared/contracts/thread'
import { layOut } from './thread-layout'

const node = (code: string, kind: ThreadView['nodes'][number]['kind'], massG: number | null = null) => ({ code, kind, title: kind, detail: '', massG, held: false })
const packs = Array.from({ length: 20 }, (_, i) => node(`P-${i}`, 'pack', 100 + i))
const thread: ThreadView = {
  code: 'L-1', nodes: [node('M-1', 'meat'), node('L-1', 'lot', 3000), ...packs, node('c1', 'customer'), node('c2', 'customer')],
  links: [{ from: 'M-1', to: 'L-1' }, ...packs.map(p => ({ from: 'L-1', to: p.code })), ...packs.map((p, i) => ({ from: p.code, to: i < 12 ? 'c1' : 'c2' }))],
}

it('bundles packs by where they went, and loses no gram', () => {
  const { nodes } = layOut(thread, 1200, 50)
  const drawn = nodes.filter(n => n.kind === 'pack')
  expect(drawn.map(n => n.members.length).sort((a, b) => a - b)).toEqual([8, 12])
  expect(drawn.reduce((sum, n) => sum + n.massG!, 0)).toBe(packs.reduce((sum, p) => sum + p.massG!, 0))
})
it('keeps the pack that was asked for by itself', () =>
  expect(layOut({ ...thread, code: 'P-3' }, 1200, 50).nodes.find(n => n.code === 'P-3')?.members).toHaveLength(1))
it('puts no knot on another and every line between knots that are drawn', () => {
  const { nodes, links } = layOut(thread, 1200, 50)
  expect(new Set(nodes.map(n => `${n.x},${n.y}`)).size).toBe(nodes.length)
  expect(links.every(l => nodes.includes(l.from) && nodes.includes(l.to) && l.from.x < l.to.x)).toBe(true)
})
