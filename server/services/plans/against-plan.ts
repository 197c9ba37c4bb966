import { atKey } from '#core/lists/at-key'
import { pieceTree } from '#core/life/parts'
import type { PlanAskKind } from '#core/life/kinds/plan-ask'
import { planAsks, type PlanDeed } from '#core/plan/plan-asks'
import { groupBy } from '#core/lists/group-by'
import type { Milliseconds } from '#core/units/quantities'
import { isLeaf } from '../../db/tables/which-pieces'
import { refuse, type FieldPath, type Refusal, type WriteContext } from '../context'
import { doneSteps, SHOWN_KINDS } from '../steps/done-steps'
import { greensOf, ofParts } from '../steps/of-parts'
import { lotPlans } from './lot-plans'

interface Deed {
  deed: PlanDeed
  atMs: Milliseconds
  /** Why it is done all the same; null: nobody was asked yet. */
  despite: string | null
  path: FieldPath
}
/** Pieces of a lot to which something is to be done; null: all that are there. */
interface Meant {
  id: number
  pieces: readonly number[] | null
}

/** What goes against the plans of each lot, by its id: kept with the step or the record that was done all the same. */
export type AgainstByLot = ReadonlyMap<number, readonly PlanAskKind[]>

/** Which pieces are meant where nobody chose: what still cures, what is there, or for the door all of it. */
const isMeant = ({ outAtMs, goneAtMs }: { outAtMs: number | null; goneAtMs: number | null }, deed: PlanDeed): boolean =>
  deed === 'send' || (goneAtMs === null && (deed !== 'out' || outAtMs === null))

const LOT_ASKED = ['code', 'rubbedOn', 'zone', 'turnEveryDays', 'readyFromDay', 'bestByDay', 'method'] as const

/**
 * Asks the plans of lots about a deed. What goes against one is refused until somebody says why; said, it is answered
 * with, to be recorded. The lots must be locked.
 */
export async function againstPlan(
  { tables }: WriteContext,
  meant: readonly Meant[],
  { deed, atMs, despite, path }: Deed,
): Promise<{ refused: Refusal } | { refused: null; against: AgainstByLot }> {
  const lotId = meant.map(lot => lot.id)
  const [lots, pieces, steps] = await Promise.all([
    tables.lots.pick([...LOT_ASKED], { id: lotId }, { order: [['id', 'ASC']] }),
    tables.pieces.pick(['lotId', 'number', 'part', 'parentId', 'greenG', 'outAtMs', 'goneAtMs', 'goneWhy'], { lotId }),
    tables.steps.pick(['lotId', 'kind', 'fromAtMs', 'toAtMs', 'byId', 'pieces', 'figures'], { lotId, kind: SHOWN_KINDS }),
  ])
  const plans = await lotPlans(tables, lots)
  const [piecesOf, stepsOf] = [groupBy(pieces, piece => piece.lotId), groupBy(steps, step => step.lotId)]
  const found = lots.map((lot) => {
    const all = piecesOf.get(lot.id) ?? []
    const tree = pieceTree(all)
    const leaves = all.filter(isLeaf)
    const inOrder = (stepsOf.get(lot.id) ?? []).toSorted((a, b) => a.fromAtMs - b.fromAtMs || a.id - b.id)
    const { plan, piecePlans } = atKey(plans, lot.id).of(tree)
    const each = meant.filter(one => one.id === lot.id).map(one => one.pieces)
    const asked = each.includes(null) ? null : (each as (readonly number[])[]).flat()
    const asks = planAsks({
      lot: {
        ...lot,
        plan: plan.plan,
        piecePlans: piecePlans.map(one => ({ plan: one.plan, pieces: one.pieces ?? [] })),
        pieces: leaves,
        did: doneSteps(ofParts(inOrder, tree, greensOf(all)), leaves.length),
      },
      assumed: plan.assumed,
      deed,
      pieces: asked === null ? leaves.filter(piece => isMeant(piece, deed)).map(piece => piece.id) : tree.asLeaves(asked),
      atMs,
    })
    return { lot, asks }
  })
  const of = <K extends PlanAskKind>(kind: K) =>
    found.flatMap(({ lot, asks }) => asks.filter(one => one.ask === kind).map(ask => ({ code: lot.code, ask })))
  const [early, unheated, short] = [of('cure_early'), of('not_heated'), of('rest_short')]
  if (despite === null && early.length + unheated.length + short.length > 0) {
    const codes = (some: readonly { code: string }[]) => some.map(one => one.code).join(', ')
    const [day] = early.map(one => one.ask)
    const [rest] = short.map(one => one.ask)
    return {
      refused: refuse(
        'against_plan',
        {
          early: codes(early),
          day: day?.ask === 'cure_early' ? day.day : 0,
          fromDay: day?.ask === 'cure_early' ? day.fromDay : 0,
          unheated: codes(unheated),
          short: codes(short),
          restedMs: rest?.ask === 'rest_short' ? rest.restedMs : 0,
          leastMs: rest?.ask === 'rest_short' ? rest.leastMs : 0,
        },
        path,
      ),
    }
  }
  return { refused: null, against: new Map(found.map(({ lot, asks }) => [lot.id, asks.map(one => one.ask)])) }
}

/** What a step keeps of it; nothing where it went by its plan. */
export const keptAgainst = (against: AgainstByLot, lotId: number): { against?: readonly PlanAskKind[] } => {
  const asks = against.get(lotId) ?? []
  return asks.length > 0 ? { against: asks } : {}
}

/** Why a record goes against a plan; null where it does not, whatever was sent along. */
export const despiteOf = (against: AgainstByLot, despite: string | null): string | null =>
  [...against.values()].some(asks => asks.length > 0) ? despite : null
