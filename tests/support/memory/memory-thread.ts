import { groupBy } from '#core/lists/group-by'
import type { ThreadReader } from '../../../server/db/readers/thread-reader'
import type { Rows } from './memory-table'
import type { Row } from './values'

type TableOf = (name: string) => Rows
const distinct = <R>(rows: readonly R[]): R[] => [...new Map(rows.map(row => [JSON.stringify(row), row])).values()]
const exact = (sum: number) => Number(sum.toFixed(4))
const sum = (rows: readonly Row[], key: string) => exact(rows.reduce((all, row) => all + Number(row[key]), 0))
/** More bundles than this are told without their codes, as `thread-reader.ts` has it. */
const CODES_FOR = 150

/** The joins of `thread-reader.ts`, over maps. */
export function memoryThread(table: TableOf): ThreadReader {
  const alive = (name: string) => [...table(name).all().values()].filter(row => row.voided === 0)
  const ofLots = (name: string, lotIds: readonly number[]) =>
    alive(name).filter(row => lotIds.includes(row.lotId as number))
  const inRuns = () => {
    const pieces = new Map(alive('pieces').map(piece => [piece.id, piece]))
    return alive('run_pieces').flatMap((row) => {
      const piece = pieces.get(row.pieceId as number)
      return piece ? [{ lotId: piece.lotId as number, pieceId: piece.id, runId: row.runId as number }] : []
    })
  }
  const customerOf = () => {
    const sent = new Map(alive('dispatches').map(row => [row.id, row.customerId as number]))
    return (pack: Row) => (pack.dispatchId === null ? null : (sent.get(pack.dispatchId as number) ?? null))
  }
  return {
    meatOf: async lotIds =>
      [
        ...groupBy(
          ofLots('pieces', lotIds).filter(piece => piece.parentId === null),
          piece => `${String(piece.lotId)} ${String(piece.meatLotId)}`,
        ).values(),
      ].map(pieces => ({
        lotId: pieces[0]!.lotId as number,
        meatLotId: pieces[0]!.meatLotId as number,
        greenG: sum(pieces, 'greenG'),
      })),
    runsOf: async lotIds => distinct(inRuns().filter(row => lotIds.includes(row.lotId))),
    lotsOfRuns: async runIds =>
      distinct(
        inRuns().flatMap(({ lotId, runId }) =>
          runIds.includes(runId) ? [{ runId, lotId, code: table('lots').all().get(lotId)!.code as string }] : [],
        ),
      ),
    usesOf: async ingredientLotIds =>
      alive('lot_ingredients')
        .filter(part => ingredientLotIds.includes(part.ingredientLotId as number))
        .map((part) => {
          const lot = table('lots').all().get(part.lotId as number)!
          return {
            ingredientLotId: part.ingredientLotId as number,
            code: lot.code as string,
            atMs: Number(part.appliedAtMs ?? lot.rubbedAtMs),
            massG: Number(part.weighedG),
            readabilityG: Number(lot.mixReadabilityG),
            typed: part.weighedTyped as string,
            byId: lot.rubbedById as number,
            scaleId: lot.mixScaleId as number | null,
          }
        }),
    bundlesOf: async (lotIds) => {
      const customer = customerOf()
      const bundles = groupBy(ofLots('packs', lotIds), pack => [pack.lotId, customer(pack), pack.stepId].join(' '))
      return [...bundles.values()].map((packs) => {
        const codes = bundles.size > CODES_FOR ? [] : packs.toSorted((a, b) => a.id - b.id).map(pack => pack.code as string)
        return {
          lotId: packs[0]!.lotId as number,
          customerId: customer(packs[0]!),
          stepId: packs[0]!.stepId as number | null,
          packs: packs.length,
          massG: sum(packs, 'netG'),
          firstCode: codes[0] ?? null,
          lastCode: codes.at(-1) ?? null,
        }
      })
    },
    packTotalsOf: async (lotIds) => {
      const packs = ofLots('packs', lotIds)
      const totals = (by: (pack: Row) => number | null) =>
        [...groupBy(packs, by)].map(([id, some]) => ({ id, packs: some.length, massG: sum(some, 'netG') }))
      return { byLot: totals(pack => pack.lotId as number), byCustomer: totals(customerOf()) }
    },
  }
}
