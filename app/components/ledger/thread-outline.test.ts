import { expect, it } from 'vitest'
import type { ThreadView } from '#shared/contracts/thread'
import { outlineOf } from './thread-outline'

const node = (code: string, kind: ThreadView['nodes'][number]['kind'], more: Partial<ThreadView['nodes'][number]> = {}) => ({ code, kind, title: code, detail: '', massG: null, held: false, ...more })
const bundle = (code: string, packs: number, massG: number) => node(code, 'pack', { packs, massG })
const thread: ThreadView = {
  code: 'N-1',
  nodes: [node('N-1', 'ingredient'), node('L-0001', 'lot', { held: true }), node('L-0002', 'lot'), node('S-1', 'run'), node('party-1', 'customer', { title: 'Inn' }), node('party-2', 'customer', { title: 'Shop' }),
    bundle('L-0001 party-1', 10, 2000), bundle('L-0001 unsent', 2, 400), bundle('L-0002 party-1', 5, 900), bundle('P-0099', 1, 210)],
  links: [
    { from: 'N-1', to: 'L-0001' }, { from: 'N-1', to: 'L-0002' }, { from: 'L-0001', to: 'S-1' }, { from: 'S-1', to: 'L-0001 party-1' }, { from: 'S-1', to: 'L-0001 unsent' }, { from: 'L-0002', to: 'L-0002 party-1' },
    { from: 'L-0002', to: 'P-0099' }, { from: 'L-0001 party-1', to: 'party-1' }, { from: 'L-0002 party-1', to: 'party-1' }, { from: 'P-0099', to: 'party-2' },
  ],
}

it('tells who has what of which lots, and every gram once', () => {
  const outline = outlineOf(thread)
  expect(outline.lots).toEqual([
    { code: 'L-0002', title: 'L-0002', held: false, packs: 6, massG: 1110 }, { code: 'L-0001', title: 'L-0001', held: true, packs: 12, massG: 2400 },
  ])
  expect(outline.customers.map(({ title, packs, massG }) => ({ title, packs, massG }))).toEqual([{ title: 'Inn', packs: 15, massG: 2900 }, { title: 'Shop', packs: 1, massG: 210 }])
  expect(outline).toMatchObject({ unsent: { packs: 2, massG: 400 }, packs: 18, massG: 3510 })
})
