import { dryEnough } from '#core/drying/dry-enough'
import { pieceLosses, type Weighed } from '#core/drying/loss'
import { usesOf } from '#core/places/place-kind'
import { sumOf } from '#core/lists/sum-of'
import { HANG_CHECKS, HANG_WARM_C, MOST_WATER } from '#core/rules/house'
import type { FiguresOfStep } from '#core/life/step'
import type { Celsius } from '#core/units/quantities'
import type { StepInput } from '#shared/contracts/steps'
import type { RowOf } from '../../db/table-spec'
import type { places as placesTable } from '../../db/tables/places'
import { present } from '../../db/where'
import { refuse, type Refusal, type WriteContext } from '../context'
import { lotFacts } from '../lots/lot-facts'
import type { Standing } from './standing-steps'

type HangInput = Extract<StepInput, { kind: 'hang' }>
interface Hung {
  id: number
  greenG: number
  stage: string | null
}

export const hookName = (hook: number): string => `hook ${hook}`

/** A hook holds one piece. */
async function refuseHooks({ tables }: WriteContext, { placeId, hooks }: HangInput, ids: readonly number[]): Promise<Refusal | null> {
  if (hooks.length === 0) return null
  const there = await tables.pieces.pick(['lotId', 'number', 'part', 'spot', 'goneWhy'], { placeId, spot: hooks.map(one => hookName(one.hook)) })
  const taken = there.find(piece => !ids.includes(piece.id))
  if (!taken) return null
  const lot = await tables.lots.one({ id: taken.lotId })
  return refuse('hook_taken', { hook: taken.spot!, code: lot!.code, piece: `${taken.number}${taken.part ?? ''}` }, ['steps', 0, 'hooks'])
}

/** How warm it is where it will hang: as it should be there, or as it was read last. */
async function warmthOf({ tables }: WriteContext, place: RowOf<typeof placesTable>): Promise<Celsius> {
  if (place.targetC !== null) return place.targetC
  const [last] = await tables.placeReadings.pick(['tempC'], { placeId: place.id, tempC: present }, { order: [['atMs', 'DESC']], limit: 1 })
  // Never read, a cold place counts as cold.
  return last?.tempC ?? (usesOf(place).includes('cold') ? HANG_WARM_C : HANG_CHECKS.usualC)
}

/** A place that is none to hang in, or a hook on which something hangs. */
async function refusePlace(ctx: WriteContext, step: HangInput, pieces: readonly Hung[]): Promise<Refusal | null> {
  const place = (await ctx.tables.places.one({ id: step.placeId }))!
  if (!usesOf(place).includes('hang')) return refuse('no_hanging_place', { place: place.name }, ['steps', 0, 'placeId'])
  return await refuseHooks(ctx, step, pieces.map(piece => piece.id))
}

/**
 * Why meat should not hang where it is warmer than 5 °C: it has no nitrite, or is not yet dry and salt enough by its
 * estimated water activity. Null where nothing speaks against it.
 */
async function hangDoubt(
  ctx: WriteContext,
  lot: { id: number; code: string },
  step: HangInput,
  pieces: readonly Hung[],
  standing: readonly Standing[],
): Promise<Refusal | null> {
  const place = (await ctx.tables.places.one({ id: step.placeId }))!
  const placeC = await warmthOf(ctx, place)
  if (placeC <= HANG_WARM_C) return null
  const facts = await lotFacts(ctx.tables, lot.id)
  if (facts.lot.saltOnly) return refuse('hang_salt_only', { code: lot.code, place: place.name, placeC })
  const inCure = facts.parts.filter(part => part.usedFor === null)
  const greenG = sumOf(facts.pieces, piece => piece.greenG)
  const salt = sumOf(inCure, part => part.weighedG * facts.saltShare(part.ingredientLotId)) / greenG
  const weighed = standing.flatMap((one): Weighed[] => {
    const figures = one.figures as FiguresOfStep['weigh']
    return one.kind === 'weigh' && figures.what === 'meat' ? [{ atMs: one.fromMs, netG: figures.netG, pieces: one.pieces }] : []
  })
  const lost = Math.min(...pieces.map(piece => Math.max(0, pieceLosses(piece.id, pieces, weighed).at(-1)?.lost ?? 0)))
  const { isDry, activity, needs } = dryEnough(salt, MOST_WATER[facts.lot.cut], lost)
  return isDry ? null : refuse('hang_wet', { code: lot.code, place: place.name, placeC, activity, lost, needs: needs ?? 0 })
}

/** What hangs is moved to where meat can hang; anywhere else it does something else. */
export async function refuseMove(
  { tables }: WriteContext,
  step: StepInput,
  pieces: readonly { stage: string | null }[],
): Promise<Refusal | null> {
  if (step.kind !== 'move' || !pieces.some(piece => piece.stage === 'hang')) return null
  const place = (await tables.places.one({ id: step.placeId }))!
  return usesOf(place).includes('hang') ? null : refuse('hangs_not_there', { place: place.name }, ['steps', 0, 'placeId'])
}

/** What stands against hanging pieces in a place; a doubt that was answered, "it hangs there all the same", is no refusal. */
export async function refuseHang(
  ctx: WriteContext,
  lot: { id: number; code: string },
  step: StepInput,
  pieces: readonly Hung[],
  standing: readonly Standing[],
): Promise<{ refused: Refusal | null; doubt: Refusal | null }> {
  // What still cures contradicts itself, and says so.
  if (step.kind !== 'hang' || pieces.some(piece => piece.stage === 'cure')) return { refused: null, doubt: null }
  const refused = await refusePlace(ctx, step, pieces)
  if (refused) return { refused, doubt: null }
  const doubt = await hangDoubt(ctx, lot, step, pieces, standing)
  return { refused: step.sure ? null : doubt, doubt }
}
