import { foldStanding } from '#core/life/fold-standing'
import { pieceLabel } from '#core/life/parts'
import type { LotView } from '#shared/contracts/lots'
import type { Tables } from '../../db/database'
import { standingSteps } from '../life/standing-steps'

/** The lives of a lot's pieces as lines to be drawn, by number, each followed by what was cut from it. */
export async function pieceLines(tables: Tables, lotId: number): Promise<Pick<LotView, 'lines' | 'linePlaces'>> {
  const [steps, rows] = await Promise.all([
    standingSteps(tables, [lotId]),
    tables.pieces.pick(['number', 'part', 'parentId'], { lotId }, { order: [['number', 'ASC'], ['id', 'ASC']] }),
  ])
  const { life } = foldStanding(steps.get(lotId) ?? [])
  const lives = new Map(life.pieces.map(piece => [piece.pieceId, piece]))
  const lines = rows.flatMap((row) => {
    const found = lives.get(row.id)
    if (!found) return []
    const { pieceId, parentId, bornAtMs, goneAtMs, goneWhy, stays } = found
    return [{ pieceId, label: pieceLabel(row), parentId, bornAtMs, goneAtMs, goneWhy, stays }]
  })
  const ids = [...new Set(lines.flatMap(line => line.stays.flatMap(stay => stay.placeId ?? [])))]
  const places = ids.length > 0 ? await tables.places.pick(['name'], { id: ids }) : []
  return { lines, linePlaces: places.map(({ id, name }) => ({ id, name })) }
}
