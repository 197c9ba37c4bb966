import { lastOf } from '#core/lists/last-of'
import { groupBy } from '#core/lists/group-by'
import { sumOf } from '#core/lists/sum-of'
import type { ThreadNodeView } from '#shared/contracts/thread'
import type { Tables } from '../../db/database'
import { treesOf } from '../../db/tables/which-pieces'

/** Packs that stand together on a thread: of one lot, with one customer, behind the same heats. */
export interface Bundle {
  node: (lotCode: string) => ThreadNodeView
  lotId: number
  customerId: number | null
  runIds: number[]
}
interface InRun {
  lotId: number
  pieceId: number
  runId: number
}

/**
 * The heats behind a slicing: those that its pieces, or what they were cut from, were in. Before slicings were kept
 * with their packs, all of the lot's.
 */
async function runsBehind(tables: Tables, lotIds: readonly number[], stepIds: readonly number[], inRuns: readonly InRun[]) {
  const [steps, rows] = await Promise.all([
    tables.steps.pick(['pieces'], { id: [...stepIds] }),
    tables.pieces.pick(['lotId', 'parentId'], { lotId: [...lotIds] }),
  ])
  const treeOf = treesOf(rows)
  const piecesOf = new Map(steps.map(step => [step.id, step.pieces]))
  return (lotId: number, stepId: number | null): number[] => {
    const pieces = stepId === null ? undefined : piecesOf.get(stepId)
    const line = pieces && new Set(treeOf(lotId).withAncestors(pieces))
    const mine = inRuns.filter(row => row.lotId === lotId && (!line || line.has(row.pieceId)))
    return [...new Set(mine.map(row => row.runId))].toSorted((a, b) => a - b)
  }
}

/** Packs as knots: bundled by lot, customer and heats; one that was asked for stands by itself. */
export async function packBundles(
  tables: Tables,
  lotIds: readonly number[],
  asked: string,
  { inRuns, partyCode }: { inRuns: readonly InRun[]; partyCode: (id: number) => string },
): Promise<Bundle[]> {
  const [single] = await tables.packs.pick(['lotId', 'kind', 'netG', 'packedOn', 'dispatchId', 'stepId'], { code: asked })
  if (single) {
    const dispatch = single.dispatchId === null ? null : await tables.dispatches.one({ id: single.dispatchId })
    const behind = await runsBehind(tables, lotIds, single.stepId === null ? [] : [single.stepId], inRuns)
    const node: ThreadNodeView = {
      code: asked,
      kind: 'pack',
      title: single.kind,
      detail: `packed ${single.packedOn}`,
      massG: single.netG,
      held: false,
      packs: 1,
    }
    const runIds = behind(single.lotId, single.stepId)
    return [{ node: () => node, lotId: single.lotId, customerId: dispatch?.customerId ?? null, runIds }]
  }
  const slicings = await tables.thread.bundlesOf(lotIds)
  const behind = await runsBehind(tables, lotIds, [...new Set(slicings.flatMap(one => one.stepId ?? []))], inRuns)
  const alike = groupBy(
    slicings.map(one => ({ ...one, runIds: behind(one.lotId, one.stepId) })),
    one => JSON.stringify([one.lotId, one.customerId, one.runIds]),
  )
  const many = groupBy([...alike.values()], ([one]) => `${one!.lotId} ${one!.customerId}`)
  return [...many.values()].flatMap(same =>
    same.map((ones, i): Bundle => {
      const { lotId, customerId, runIds, firstCode } = ones[0]!
      const [packs, massG, lastCode] = [sumOf(ones, one => one.packs), sumOf(ones, one => one.massG), lastOf(ones).lastCode]
      // The same customer has another bundle behind other heats.
      const nth = i === 0 ? '' : ` ${i + 1}`
      const node = (lotCode: string): ThreadNodeView => ({
        code: packs === 1 && firstCode ? firstCode : `${lotCode} ${customerId === null ? 'unsent' : partyCode(customerId)}${nth}`,
        kind: 'pack',
        title: packs === 1 ? 'one pack' : `${packs} packs`,
        detail: '',
        massG,
        held: false,
        packs,
        ...(firstCode && lastCode ? { firstCode, lastCode } : {}),
      })
      return { node, lotId, customerId, runIds }
    }),
  )
}
