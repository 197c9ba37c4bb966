import type { TURN_RHYTHMS } from '#core/turning/rhythm'
import { planSteps, type ToldLot } from './steps'
import type { Fraction, Grams, Millimetres, Ppm } from '#core/units/quantities'
import { CURING_SALT_NO_1 } from '#core/cure/agent'
import type { CureMethod } from '#core/cure/cure-method'
import { formulate, type Formulation, type Targets } from '#core/cure/formulate'
import { PLAIN, type AmountKind } from '#core/cure/seasoning'
import { USUAL_SIDES } from '#core/retained/share-by-side'
import { assumedPlan } from '#core/plan/assumed-plan'
import { steadyRhythm, type Plan } from '#core/plan/plan'
import { STARTER_PLANS, type PlanStarter } from '#core/plan/starters'
import { suggestedSpan } from '#core/curing/day-rules'
import type { Cut, Rind } from '#core/rules/cuts'
import { rubInput, secondApplicationInput } from '#shared/contracts/rub'
import type { Tables } from '../db/database'
import { endCure, turnLot } from '../services/press/cure-steps'
import { applySecond } from '../services/lots/after-rub'
import { rubLot } from '../services/rub/rub-lot'
import type { Scene } from './scene'

export interface DemoLot extends ToldLot {
  cut: Cut
  rind: Rind
  meat: string
  rubDay: number
  rubTime: string
  weights: string[]
  /** Labels of pieces cut in the Store, in the order of the weights. */
  labels?: string[]
  ppm: Ppm
  salt: number
  sugar: number
  thicknessMm: Millimetres
  method?: CureMethod
  waterShare?: Fraction
  /** Dispensed from the house mix instead of weighed apart. */
  fromMix?: boolean
  seasonings?: { name: string; per: AmountKind; amount: number; pieces?: number[] }[]
  bags?: number[]
  /** Name of the recipe it was made by. */
  recipe?: string
  /** Days from today on which no turn was recorded. */
  missed?: number[]
  /** The way of making bacon it follows; as the shop usually does, if nothing is said. */
  plan?: PlanStarter
  /** Days between its turns; as the shop turns, if nothing is said. */
  turnEveryDays?: (typeof TURN_RHYTHMS)[number]
  /** Day it left the cure; absent while it is in it. */
  outDay?: number
  note?: string
}

async function newestRevision(tables: Tables, name: string): Promise<number> {
  const recipe = await tables.recipes.the({ name })
  return (await tables.recipeRevisions.find({ recipeId: recipe.id }, { order: [['number', 'DESC']], limit: 1 }))[0]!.id
}

async function cutPieceId(tables: Tables, meatCode: string, label: string | undefined): Promise<number | null> {
  if (label === undefined) return null
  const meat = await tables.meatLots.one({ code: meatCode })
  return (await tables.meatPieces.the({ meatLotId: meat!.id, label })).id
}

const gramsOf = (typed: string): number => (typed.endsWith('kg') ? Number(typed.slice(0, -2)) * 1000 : Number(typed))
const HALF = 0.5
const HALF_DAY = 0.5

/** The grams a lot is weighed at: by its targets, on a scale that reads to 0.1 g. */
function planOf(lot: DemoLot): Formulation {
  const targets: Targets = {
    saltShare: lot.salt / 100,
    sugarShare: lot.sugar / 100,
    saltBasis: 'total',
    nitritePpm: lot.ppm,
  }
  const plan = formulate({
    method: lot.method ?? 'dry',
    piecesG: lot.weights.map(gramsOf),
    agent: lot.method === 'salt_only' ? null : CURING_SALT_NO_1,
    targets,
    readabilityG: 0.1,
    ...(lot.waterShare ? { waterShare: lot.waterShare } : {}),
    seasonings: (lot.seasonings ?? []).map(s => ({
      key: s.name,
      per: s.per,
      amount: s.amount,
      pieces: s.pieces?.map(number => number - 1) ?? null,
      composition: PLAIN,
    })),
  })
  if (!plan.ok) throw new Error(plan.code)
  return plan.value
}

/** Weights of curing salt, salt and sugar as they go into the record; from the bulk mix, one weight for all. */
function partsOf(scene: Scene, lot: DemoLot, plan: Formulation, share = 1) {
  const weighed = (name: string, massG: Grams) => ({ lotCode: scene.code(name), weighed: massG.toFixed(1) })
  // 2.4 g of no. 1 in 35.15 g of mix a kilogram.
  if (lot.fromMix)
    return {
      agent: weighed('house mix', (plan.greenWeightG * 1054.5) / 30_000),
      salt: null,
      sugar: null,
      fromAgentOnly: true,
    }
  return {
    agent: lot.method === 'salt_only' ? null : weighed('no1', plan.agentG * share),
    salt: weighed('salt', plan.saltG * share),
    sugar: plan.sugarG > 0 ? weighed('sugar', plan.sugarG * share) : null,
  }
}

const daysOf = (starter: PlanStarter) => {
  const { fromDay, toDay } = STARTER_PLANS[starter].end
  return { readyFromDay: fromDay, bestByDay: toDay }
}
/** What is intended with it: a way to begin from, with its own rhythm where it has one. */
function intendedWith({ plan, turnEveryDays, method = 'dry', thicknessMm }: DemoLot): Plan {
  if (!plan) return assumedPlan({ turnEveryDays: turnEveryDays ?? 1, method, ...suggestedSpan(thicknessMm) })
  const { cure, ...rest } = STARTER_PLANS[plan]
  return { ...rest, cure: { ...cure, rhythm: turnEveryDays ? steadyRhythm(turnEveryDays) : cure.rhythm } }
}

/** Plans a lot's rub, turns, drain and end of cure. `who` are ids of people in turn. */
export function planLot(
  scene: Scene,
  lot: DemoLot,
  who: { maker: number; owner: number },
  scaleIds: { meat: number; mix: number },
): void {
  const plan = planOf(lot)
  const twice = lot.method === 'two_applications'
  scene.add(
    scene.at(lot.rubDay, lot.rubTime),
    who.maker,
    async ctx =>
      rubLot(
        ctx,
        rubInput.parse({
          cut: lot.cut,
          rind: lot.rind,
          method: lot.method ?? 'dry',
          note: lot.note ?? null,
          pieces: await Promise.all(
            lot.weights.map(async (weight, i) => ({
              meatCode: scene.code(lot.meat),
              weight,
              meatPieceId: await cutPieceId(ctx.tables, scene.code(lot.meat), lot.labels?.[i]),
              bag: lot.bags?.[i] ?? null,
            })),
          ),
          meatScaleId: scaleIds.meat,
          mixScaleId: scaleIds.mix,
          targets: {
            saltShare: String(lot.salt),
            sugarShare: String(lot.sugar),
            saltBasis: 'total',
            nitritePpm: String(lot.ppm),
          },
          ...partsOf(scene, lot, plan, twice ? HALF : 1),
          firstShare: twice ? '50' : null,
          water: plan.waterG > 0 ? `${Math.round(plan.waterG / 5) * 5}` : null,
          seasonings: (lot.seasonings ?? []).map((s, i) => ({
            lotCode: scene.code(s.name),
            per: s.per,
            amount: String(s.amount),
            pieces: s.pieces ?? null,
            weighed: plan.seasonings[i]!.massG.toFixed(1),
          })),
          sides: { ...USUAL_SIDES },
          recipeRevisionId: lot.recipe ? await newestRevision(ctx.tables, lot.recipe) : null,
          thicknessMm: String(lot.thicknessMm),
          fridgeId: lot.fridge,
          spot: lot.spot ?? null,
          turnEveryDays: lot.turnEveryDays ?? null,
          plan: intendedWith(lot),
          ...(lot.plan ? daysOf(lot.plan) : suggestedSpan(lot.thicknessMm)),
        }),
      ),
    lot.name,
  )
  const lastDay = lot.plan && STARTER_PLANS[lot.plan].cure.rhythm[0]!.everyDays === null ? lot.rubDay : (lot.outDay ?? 0)
  for (let day = lot.rubDay + 1; day <= lastDay; day++) {
    if (lot.missed?.includes(day) || day === lot.outDay) continue
    if ((day - lot.rubDay) % Math.max(1, lot.turnEveryDays ?? 1) !== 0) continue
    const minute = 10 + ((((lot.rubDay * 7 + day * 13) % 45) + 45) % 45)
    const turner = day % 3 === 0 ? who.owner : who.maker
    scene.add(scene.at(day, `0${7 + (day & 1)}:${minute}`), turner, ctx => turnLot(ctx, scene.code(lot.name)))
    if (lot.turnEveryDays === HALF_DAY)
      scene.add(scene.at(day, `18:${minute}`), who.owner, ctx => turnLot(ctx, scene.code(lot.name)))
  }
  planSteps(scene, lot, { ...who, meatScale: scaleIds.meat })
  if (twice) {
    scene.add(scene.at(lot.rubDay + 3, '17:35'), who.maker, (ctx) => {
      const { agent, salt, sugar } = partsOf(scene, lot, plan, HALF)
      return applySecond(
        ctx,
        scene.code(lot.name),
        secondApplicationInput.parse({ agent, salt, sugar, mixScaleId: scaleIds.mix }),
      )
    })
  }
  if (lot.outDay !== undefined && !lot.rinsedAndRested)
    scene.add(scene.at(lot.outDay, '09:30'), who.maker, ctx => endCure(ctx, scene.code(lot.name), null))
}
