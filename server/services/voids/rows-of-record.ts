import type { EventKind } from '#shared/contracts/event-kinds'
import type { ComputedOf } from '#shared/contracts/records'
import type { Tables } from '../../db/database'
import { stepsOfRecord } from '../steps/steps-of-record'
import { rowsOfCodes, withRows, type ToLock } from '../lock-rows'
import { lotsThatLay } from '../steps/lots-that-lay'

/** Rows of a place's reading: the place, and every lot that is judged by it. */
async function rowsOfReading(tables: Tables, kind: EventKind, computed: string): Promise<ToLock> {
  if (kind !== 'place_read' && kind !== 'fridge_read') return {}
  const told = JSON.parse(computed) as Partial<ComputedOf<'place_read'> & ComputedOf<'fridge_read'>>
  const placeId = told.placeId ?? told.fridgeId
  if (placeId === undefined) return {}
  return { places: [placeId], lots: (await lotsThatLay(tables, placeId)).map(lot => lot.id) }
}

/** Rows of a cut or a tag: the deliveries that the pieces are of. */
async function rowsOfPieces(tables: Tables, eventId: number, kind: EventKind, computed: string): Promise<ToLock> {
  const { told } = await stepsOfRecord(tables, eventId)
  const cuts = await tables.steps.pick(['pieces'], { id: told, kind: 'cut' })
  const tagged = kind === 'piece_tagged' ? [(JSON.parse(computed) as ComputedOf<'piece_tagged'>).pieceId] : []
  const id = [...cuts.flatMap(step => step.pieces), ...tagged]
  if (id.length === 0) return {}
  const pieces = await tables.pieces.pick(['meatLotId'], { id }, { withVoided: true })
  return { meatLots: pieces.map(piece => piece.meatLotId) }
}

/** The rows that taking a record back goes by: what it is about, and what is judged or counted anew. */
export async function rowsOfRecord(
  tables: Tables,
  { id, kind, subjects, computed }: { id: number; kind: EventKind; subjects: string; computed: string },
): Promise<ToLock> {
  const [coded, read, cut] = [
    await rowsOfCodes(tables, JSON.parse(subjects) as string[]),
    await rowsOfReading(tables, kind, computed),
    await rowsOfPieces(tables, id, kind, computed),
  ]
  return withRows(withRows(coded, read), cut)
}
