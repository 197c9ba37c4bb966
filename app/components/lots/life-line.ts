import { groupBy } from '#core/lists/group-by'
import type { Stage } from '#core/life/kinds/stage'
import type { Milliseconds } from '#core/units/quantities'
import type { PieceLine } from '#shared/contracts/lots'

/** A stretch of a line, in one stage. */
export interface LineStretch {
  stage: Stage
  placeId: number | null
  fromMs: Milliseconds
  toMs: Milliseconds
  /** True when it goes on. */
  open: boolean
}
/** Pieces that went the same way, in one row; `from`: the row that they part from, where they were cut off. */
export interface LineRow {
  labels: string[]
  row: number
  from: { row: number; atMs: Milliseconds } | null
  stretches: LineStretch[]
  gone: { atMs: Milliseconds; why: NonNullable<PieceLine['goneWhy']> } | null
}

const shape = ({ bornAtMs, goneAtMs, goneWhy, stays }: PieceLine) => JSON.stringify([bornAtMs, goneAtMs, goneWhy, stays])

/**
 * The lines of a lot's pieces: one row for those alike and never cut up, parts in rows under what they were cut from. A
 * part shows what happened since its cut; before it is the line it parts from.
 */
export function lineRows(lines: readonly PieceLine[], nowMs: Milliseconds): LineRow[] {
  const parts = groupBy(lines.filter(line => line.parentId !== null), line => line.parentId!)
  const rows: LineRow[] = []
  const add = (some: readonly PieceLine[], from: LineRow['from']): void => {
    const [line] = some
    const row = rows.length
    rows.push({
      labels: some.map(one => one.label),
      row,
      from,
      stretches: line!.stays
        .filter(stay => (stay.toMs ?? nowMs) > line!.bornAtMs)
        .map(({ stage, placeId, fromMs, toMs }) => ({
          stage,
          placeId,
          fromMs: Math.max(fromMs, line!.bornAtMs),
          toMs: toMs ?? Math.max(nowMs, fromMs),
          open: toMs === null,
        })),
      gone: line!.goneAtMs === null ? null : { atMs: line!.goneAtMs, why: line!.goneWhy! },
    })
    for (const part of parts.get(line!.pieceId) ?? []) add([part], { row, atMs: part.bornAtMs })
  }
  const roots = lines.filter(line => line.parentId === null)
  const alike = groupBy(roots, line => (parts.has(line.pieceId) ? String(line.pieceId) : shape(line)))
  for (const some of alike.values()) add(some, null)
  return rows
}
