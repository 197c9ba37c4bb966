import { atKey } from '#core/lists/at-key'
import type { Fraction } from '#core/units/quantities'
import { withDays } from '#core/plan/plan'
import type { Formulation } from '#core/cure/formulate'
import { JUDGED_BY } from '#core/rules/judged-by'
import type { Judgement } from '#shared/contracts/judgement'
import type { RubInput } from '#shared/contracts/rub'
import { nextCode } from '../book/next-code'
import { reasonsOf } from '../book/reasons-of'
import { recordEvent } from '../book/record-event'
import { refuse, type Answer, type WriteContext } from '../context'
import { laySteps, type NewStep } from '../steps/lay-steps'
import { happenedOf } from '../when-told'
import type { Checked } from './check-rub'
import { firstShareOf } from './first-share'
import type { IngredientPart } from './find-ingredients'

const plannedG = (plan: Formulation, part: IngredientPart, share: Fraction): number => {
  const whole = { agent: plan.agentG, salt: plan.saltG, sugar: plan.sugarG }
  if (part.seasoning !== null) return plan.seasonings[part.seasoning]!.massG
  return part.role === 'spice' ? 0 : share * whole[part.role]
}

/** What a rub is judged as, and by what it was worked out. */
interface Worked {
  plan: Formulation
  judgement: Judgement
}

const insertLot = (ctx: WriteContext, input: RubInput, code: string, checked: Checked, judgement: Judgement): Promise<number> => {
  const { shop, rubbedAtMs, today, fridge, meatScale, mixScale } = checked
  const firstShare = firstShareOf(input)
  return ctx.tables.lots.insert({
    code,
    cut: input.cut,
    rind: input.rind,
    saltOnly: input.agent === null,
    fridgeId: fridge.id,
    rubbedAtMs,
    rubbedOn: today,
    zone: shop.zone,
    rubbedById: ctx.actor.id,
    thicknessMm: input.thicknessMm,
    readyFromDay: input.readyFromDay,
    bestByDay: input.bestByDay,
    turnEveryDays: input.turnEveryDays ?? input.plan?.cure.rhythm[0]?.everyDays ?? shop.turnEveryDays,
    turnBy: shop.turnBy,
    meatReadabilityG: meatScale.readability,
    mixReadabilityG: mixScale.readability,
    meatScaleId: meatScale.id,
    mixScaleId: mixScale.id,
    targets: input.targets,
    judgement,
    judgedBy: JUDGED_BY,
    note: input.note || null,
    method: input.method,
    purpose: input.purpose,
    choiceId: input.choiceId,
    firstShare: firstShare < 1 ? firstShare : null,
    waterG: input.water?.netG ?? null,
    waterTyped: input.water?.typed ?? null,
    mostPickUp: input.mostPickUp,
    weighedBackG: input.weighedBack?.netG ?? null,
    weighedBackTyped: input.weighedBack?.typed ?? null,
    sides: input.sides,
    recipeRevisionId: input.recipeRevisionId,
  })
}

const insertPieces = ({ tables }: WriteContext, lotId: number, { pieces }: RubInput, { meat }: Checked): Promise<number[]> =>
  tables.pieces.insertMany(
    pieces.map((piece, i) => ({
      lotId,
      number: i + 1,
      meatLotId: atKey(meat, piece.meatCode).id,
      meatPieceId: piece.meatPieceId,
      greenG: piece.weight.netG,
      greenTyped: piece.weight.typed,
      readings: piece.weight.readings,
      bag: piece.bag,
    })),
  )

const insertIngredients = ({ tables }: WriteContext, lotId: number, input: RubInput, { parts }: Checked, plan: Formulation) =>
  tables.lotIngredients.insertMany(
    parts.map((part) => {
      const wanted = part.seasoning === null ? null : input.seasonings[part.seasoning]!
      return {
        lotId,
        ingredientLotId: part.lot.id,
        role: part.role,
        plannedG: plannedG(plan, part, firstShareOf(input)),
        weighedG: part.weighedG,
        weighedTyped: part.weighedTyped,
        application: 1,
        per: wanted?.per ?? null,
        amount: wanted?.amount ?? null,
        pieceNumbers: wanted?.pieces ?? null,
      }
    }),
  )

/** The first plan of a lot, where one was laid with its rub. */
async function insertPlan({ tables, actor }: WriteContext, lotId: number, input: RubInput, { rubbedAtMs }: Checked): Promise<void> {
  if (!input.plan) return
  const content = withDays(input.plan, input.readyFromDay, input.bestByDay)
  const laidBy = { atMs: rubbedAtMs, byId: actor.id }
  await tables.plans.insert({ lotId, number: 1, content, assumed: false, pieceIds: null, reason: null, ...laidBy })
}

/** The step with which a lot's life begins: where each piece lies, and which face is up. */
function rubStep(input: RubInput, { fridge, rubbedAtMs }: Checked, pieceIds: readonly number[]): NewStep {
  const spots = Object.fromEntries(
    input.pieces.flatMap(({ bag }, i) => {
      const spot = bag === null ? input.spot : `bag ${bag}`
      return spot === null ? [] : [[pieceIds[i]!, spot]]
    }),
  )
  const { firstFace, stacked = false } = input.plan?.cure ?? {}
  return {
    kind: 'rub',
    pieces: pieceIds,
    placeId: fridge.id,
    fromMs: rubbedAtMs,
    lateReason: input.lateReason,
    figures: { spots, face: firstFace ?? 'flesh', ...(stacked && { stacked }) },
  }
}

/** The lot, its pieces and what went on them, and the record of it. A card is laid once. */
export async function writeRub(
  ctx: WriteContext,
  input: RubInput,
  checked: Checked,
  { plan, judgement }: Worked,
): Promise<Answer<{ id: number; code: string }>> {
  const { tables } = ctx
  const { shop, rubbedAtMs, meat, parts } = checked
  const card = input.cardCode === null ? null : await tables.benchCards.one({ code: input.cardCode }, { lock: true })
  if (card && card.lotId !== null) return refuse('card_used', { code: card.code })
  const code = await nextCode(tables, 'lot')
  const id = await insertLot(ctx, input, code, checked, judgement)
  const pieceIds = await insertPieces(ctx, id, input, checked)
  await insertIngredients(ctx, id, input, checked, plan)
  await insertPlan(ctx, id, input, checked)
  const laid = await laySteps(ctx, { id, code, zone: shop.zone }, [rubStep(input, checked, pieceIds)])
  if (!laid.ok) return laid
  if (card) await tables.benchCards.update(card.id, { lotId: id })
  recordEvent(ctx, {
    kind: 'lot_rubbed',
    subjects: [code, ...meat.keys(), ...new Set(parts.map(part => part.lot.code))],
    typed: input,
    computed: { plan, judgement, lotId: id, ...happenedOf(ctx, rubbedAtMs) },
    ...reasonsOf(input.lateReason),
    steps: laid.value.ids,
  })
  return { ok: true, value: { id, code } }
}
