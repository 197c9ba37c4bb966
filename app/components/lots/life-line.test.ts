import { describe, expect, it } from 'vitest'
import type { PieceLine } from '#shared/contracts/lots'
import { lineRows } from './life-line'

const stay = (stage: 'cure' | 'dry' | 'hang', fromMs: number, toMs: number | null) => ({ stage, placeId: 1, fromMs, toMs })
const line = (pieceId: number, more: Partial<PieceLine> = {}): PieceLine => ({
  pieceId,
  label: String(pieceId),
  parentId: null,
  bornAtMs: 0,
  goneAtMs: null,
  goneWhy: null,
  stays: [stay('cure', 0, 10), stay('dry', 10, null)],
  ...more,
})

describe('the life line', () => {
  it('shows those that went the same way as one', () => {
    const rows = lineRows([line(1), line(2), line(3, { stays: [stay('cure', 0, null)] })], 50)
    expect(rows.map(row => row.labels)).toEqual([['1', '2'], ['3']])
    expect(rows[0]!.stretches).toMatchObject([{ stage: 'cure', fromMs: 0, toMs: 10, open: false }, { stage: 'dry', toMs: 50, open: true }])
  })
  it('parts part where they were cut off, and go on from there', () => {
    const rows = lineRows(
      [
        line(1, { goneAtMs: 20, goneWhy: 'cut', stays: [stay('cure', 0, 10), stay('dry', 10, 20)] }),
        line(5, { label: '1a', parentId: 1, bornAtMs: 20, stays: [stay('cure', 0, 10), stay('dry', 10, null)] }),
        line(6, { label: '1b', parentId: 1, bornAtMs: 20, stays: [stay('cure', 0, 10), stay('dry', 10, 30), stay('hang', 30, null)] }),
        line(2),
      ],
      50,
    )
    expect(rows.map(row => [row.labels[0], row.from?.row ?? null])).toEqual([['1', null], ['1a', 0], ['1b', 0], ['2', null]])
    expect(rows[1]!.stretches).toEqual([{ stage: 'dry', placeId: 1, fromMs: 20, toMs: 50, open: true }])
    expect(rows[2]!.stretches.map(one => [one.stage, one.fromMs, one.toMs])).toEqual([['dry', 20, 30], ['hang', 30, 50]])
    expect(rows[0]!.gone).toEqual({ atMs: 20, why: 'cut' })
  })
})
