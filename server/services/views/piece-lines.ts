import { foldStanding } from '#core/life/fold-standing'
import type { Contradiction } from '#core/life/fold'
import { pieceLabel } from '#core/life/parts'
import type { Step } from '#core/life/step'
import type { Contradicts, LotView } from '#shared/contracts/lots'
import type { Tables } from '../../db/database'
import { standingSteps } from '../steps/standing-steps'

/** Two steps that cannot both be, with the records that told of them. */
async function toldBy(
  tables: Tables,
  contradictions: readonly Contradiction[],
  labels: ReadonlyMap<number, string>,
): Promise<Contradicts[]> {
  const id = contradictions.flatMap(({ first, second }) => [...(first ? [first.id] : []), second.id])
  const records = new Map((await tables.steps.pick(['eventId'], { id })).map(step => [step.id, step.eventId]))
  const told = ({ id: of, kind, fromMs: atMs }: Step) => ({ kind, atMs, eventId: records.get(of) ?? null })
  return contradictions.map(({ code: why, mend, first, second, pieces }) => ({
    why,
    mend,
    first: first && told(first),
    second: told(second),
    pieces: pieces.flatMap(piece => labels.get(piece) ?? []),
  }))
}

/**
 * The lives of a lot's pieces as lines to be drawn, by number, each followed by what was cut from it; and which of its
 * steps contradict each other.
 */
export async function pieceLines(
  tables: Tables,
  lotId: number,
): Promise<Pick<LotView, 'lines' | 'linePlaces' | 'contradicts'>> {
  const [steps, rows] = await Promise.all([
    standingSteps(tables, [lotId]),
    tables.pieces.pick(['number', 'part', 'parentId'], { lotId }, { order: [['number', 'ASC'], ['id', 'ASC']] }),
  ])
  const { life, contradictions } = foldStanding(steps.get(lotId) ?? [])
  const lives = new Map(life.pieces.map(piece => [piece.pieceId, piece]))
  const lines = rows.flatMap((row) => {
    const found = lives.get(row.id)
    if (!found) return []
    const { pieceId, parentId, bornAtMs, goneAtMs, goneWhy, stays } = found
    return [{ pieceId, label: pieceLabel(row), parentId, bornAtMs, goneAtMs, goneWhy, stays }]
  })
  const ids = [...new Set(lines.flatMap(line => line.stays.flatMap(stay => stay.placeId ?? [])))]
  const places = ids.length > 0 ? await tables.places.pick(['name'], { id: ids }) : []
  const contradicts = await toldBy(tables, contradictions, new Map(rows.map(row => [row.id, pieceLabel(row)])))
  return { lines, linePlaces: places.map(({ id, name }) => ({ id, name })), contradicts }
}
