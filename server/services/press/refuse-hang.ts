import { isWet } from '#core/cure/cure-method'
import { dryEnough } from '#core/drying/dry-enough'
import { pieceLosses, type HangWeight } from '#core/drying/loss'
import { pieceLabel } from '#core/life/parts'
import { hookName } from '#core/places/hook-name'
import { isBench, usesOf } from '#core/places/place-kind'
import { sumOf } from '#core/lists/sum-of'
import { HANG_CHECKS, HANG_WARM_C, MOST_WATER } from '#core/rules/house'
import type { FiguresOfStep } from '#core/life/kinds/all-kinds'
import type { Celsius, Fraction } from '#core/units/quantities'
import type { StepInput } from '#shared/steps/all-told'
import type { RowOf } from '../../db/schema/table-spec'
import type { places as placesTable } from '../../db/tables/places'
import { present } from '../../db/schema/where'
import { refuse, type Refusal, type WriteContext } from '../context'
import { lotFacts, type JudgingFacts } from '../judging/lot-facts'
import type { Standing } from '../steps/standing-steps'

type HangInput = Extract<StepInput, { kind: 'hang' }>
interface Hung {
  id: number
  greenG: number
  stage: string | null
}

type Place = RowOf<typeof placesTable>

/** A hook holds one piece. */
async function refuseHooks({ tables }: WriteContext, { placeId, hooks }: HangInput, ids: readonly number[]): Promise<Refusal | null> {
  if (hooks.length === 0) return null
  const spot = hooks.map(one => hookName(one.hook))
  const there = await tables.pieces.pick(['lotId', 'number', 'part', 'spot', 'goneWhy'], { placeId, spot })
  const taken = there.find(piece => !ids.includes(piece.id))
  if (!taken) return null
  const lot = await tables.lots.one({ id: taken.lotId })
  return refuse('hook_taken', { hook: taken.spot!, code: lot!.code, piece: pieceLabel(taken) }, ['steps', 0, 'hooks'])
}

/** How warm it is where it will hang: as it should be there or as it was read last, whichever is warmer. */
async function warmthOf({ tables }: WriteContext, place: Place): Promise<Celsius> {
  const [last] = await tables.placeReadings.pick(['tempC'], { placeId: place.id, tempC: present }, { order: [['atMs', 'DESC']], limit: 1 })
  const known = [place.targetC, last?.tempC ?? null].filter(tempC => tempC !== null)
  if (known.length > 0) return Math.max(...known)
  // A cold place that was never read counts as cold.
  return usesOf(place).includes('cold') ? HANG_WARM_C : HANG_CHECKS.usualC
}

/**
 * Salt in a lot's meat at its least, share of green weight: what was weighed, less what liquid and short soaks took at
 * most; a brine is shared with its water. Null where nobody can say: a salt box, a pick-up, a long soak, salt poured
 * off.
 */
function leastSalt({ lot, parts, pieces, saltShare }: JudgingFacts): Fraction | null {
  const { stayed } = lot.judgement
  if (!stayed || stayed.lostShare === null || lot.method === 'excess' || lot.method === 'wet_pick_up') return null
  const inCure = parts.filter(part => part.usedFor === null)
  const saltG = sumOf(inCure, part => part.weighedG * saltShare(part.ingredientLotId))
  const overG = sumOf(pieces, piece => piece.greenG) + (isWet(lot.method) ? (lot.waterG ?? 0) : 0)
  return (saltG / overG) * (1 - stayed.lostShare)
}

interface Hanging {
  pieces: readonly Hung[]
  /** All of the lot: what lay on a scale together is weighed against all of it. */
  all: readonly Hung[]
  standing: readonly Standing[]
}

/**
 * Why meat should not hang where it is warmer than 5 °C: it has no nitrite, nobody can say how much salt it took, or it
 * is not yet dry and salt enough by its estimated water activity. Null where nothing speaks against it.
 */
async function hangDoubt(
  ctx: WriteContext,
  lot: { id: number; code: string },
  place: Place,
  { pieces, all, standing }: Hanging,
): Promise<Refusal | null> {
  const placeC = await warmthOf(ctx, place)
  if (placeC <= HANG_WARM_C) return null
  const facts = await lotFacts(ctx.tables, lot.id)
  const where = { code: lot.code, place: place.name, placeC }
  if (facts.lot.saltOnly) return refuse('hang_salt_only', where)
  const salt = leastSalt(facts)
  if (salt === null) return refuse('hang_salt_unknown', where)
  const weighed = standing.flatMap((one): HangWeight[] => {
    const figures = one.figures as FiguresOfStep['weigh']
    return one.kind === 'weigh' && figures.what === 'meat' ? [{ atMs: one.fromMs, netG: figures.netG, pieces: one.pieces }] : []
  })
  const lost = Math.min(...pieces.map(piece => Math.max(0, pieceLosses(piece.id, all, weighed).at(-1)?.lost ?? 0)))
  const { isDry, activity, needs } = dryEnough(salt, MOST_WATER[facts.lot.cut], lost)
  return isDry ? null : refuse('hang_wet', { ...where, activity, lost, needs: needs ?? MOST_WATER[facts.lot.cut] })
}

/** Laid, moved or set to dry: whatever it is called, it then is where it is told to be. */
const STAYS: ReadonlySet<StepInput['kind']> = new Set<StepInput['kind']>(['move', 'dry', 'rest'])

/**
 * Why meat without nitrite, out of its cure, should not lie or dry where it is warm: the same as for hanging, by
 * whatever word. Drying warm in a smoker is a heat's own, and a place that only heats is judged by its heat.
 */
async function refuseWarmStay(
  ctx: WriteContext,
  lot: { id: number; code: string; saltOnly: boolean },
  step: StepInput,
  { pieces }: Hanging,
): Promise<Refusal | null> {
  const placeId = 'placeId' in step ? step.placeId : null
  const isOut = pieces.some(piece => piece.stage !== 'cure' && piece.stage !== 'hang')
  if (!lot.saltOnly || !STAYS.has(step.kind) || placeId === null || !isOut) return null
  const place = await ctx.tables.places.the({ id: placeId })
  // Out on a bench for a while: its own clock holds what stays there.
  if (isBench(place)) return null
  const placeC = await warmthOf(ctx, place)
  return placeC <= HANG_WARM_C ? null : refuse('hang_salt_only', { code: lot.code, place: place.name, placeC })
}

/**
 * What stands against hanging pieces in a place, or moving what hangs into it: it is none to hang in, a hook is taken,
 * or a doubt; a doubt that was answered, "it hangs there already", is no refusal.
 */
export async function refuseHang(
  ctx: WriteContext,
  lot: { id: number; code: string; saltOnly: boolean },
  step: StepInput,
  hanging: Hanging,
): Promise<{ refused: Refusal | null; doubt: Refusal | null }> {
  const free = { refused: null, doubt: null }
  const { pieces } = hanging
  const warm = await refuseWarmStay(ctx, lot, step, hanging)
  if (warm) return { refused: 'sure' in step && step.sure ? null : warm, doubt: warm }
  const isMoved = step.kind === 'move' && pieces.some(piece => piece.stage === 'hang')
  // What still cures contradicts itself, and says so.
  if ((step.kind !== 'hang' && !isMoved) || pieces.some(piece => piece.stage === 'cure')) return free
  const place = await ctx.tables.places.the({ id: step.placeId })
  if (!usesOf(place).includes('hang'))
    return { ...free, refused: refuse(isMoved ? 'hangs_not_there' : 'no_hanging_place', { place: place.name }, ['steps', 0, 'placeId']) }
  const taken = step.kind === 'hang' ? await refuseHooks(ctx, step, pieces.map(piece => piece.id)) : null
  if (taken) return { ...free, refused: taken }
  const doubt = await hangDoubt(ctx, lot, place, hanging)
  return { refused: step.sure ? null : doubt, doubt }
}
