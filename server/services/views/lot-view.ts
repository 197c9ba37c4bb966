import { pieceName } from '#core/life/parts'
import type { Milliseconds } from '#core/units/quantities'
import type { LotView } from '#shared/contracts/lots'
import type { Tables } from '../../db/database'
import { eventsAbout } from './event-views'
import { refuse, type Answer } from '../context'
import { holdViews } from '../holds/hold-views'
import { loadMarks } from '../instruments/marks'
import { returnViews } from './return-views'
import { residualOf } from '../judging/residual'
import { pieceLines } from './piece-lines'
import { pieceFamily } from './piece-views'
import { lotSummaries } from './lot-summaries'

async function recipeOf(tables: Tables, revisionId: number) {
  const revision = (await tables.recipeRevisions.one({ id: revisionId }))!
  const recipe = (await tables.recipes.one({ id: revision.recipeId }))!
  return { code: recipe.code, name: revision.content.name, number: revision.number }
}

/** The whole life of a lot. */
export async function lotView(tables: Tables, code: string, nowMs: Milliseconds): Promise<Answer<LotView>> {
  const row = await tables.lots.one({ code })
  if (!row)
    return refuse((await tables.lots.count({ code }, { withVoided: true })) > 0 ? 'lot_voided' : 'no_such_lot', {
      code,
    })
  const lotId = row.id
  const [[summary], used, holds, packs, offcuts, users, events, labResults, recipe] = await Promise.all([
    lotSummaries(tables, [row], nowMs),
    tables.lotIngredients.find({ lotId }),
    tables.holds.find({ lotId }),
    tables.packs.find({ lotId }),
    tables.offcuts.find({ lotId }),
    tables.users.find(),
    eventsAbout(tables, code),
    tables.labResults.find({ lotId }),
    row.recipeRevisionId === null ? null : recipeOf(tables, row.recipeRevisionId),
  ])
  const [ingredients, dispatches, putSteps] = await Promise.all([
    tables.ingredientLots.find({ id: used.map(part => part.ingredientLotId) }),
    tables.dispatches.find({ id: packs.flatMap(pack => pack.dispatchId ?? []) }),
    tables.steps.pick(['fromAtMs'], { id: used.flatMap(part => part.stepId ?? []) }),
  ])
  const returns = await returnViews(tables, lotId)
  const putAt = new Map(putSteps.map(step => [step.id, step]))
  const places = holds.some(hold => hold.fromAtMs !== null) ? await tables.places.pick(['code', 'name']) : []
  const markAt = await loadMarks(tables, row.rubbedAtMs)
  const residual = await residualOf(tables, row)
  const lines = await pieceLines(tables, lotId)
  const family = await pieceFamily(tables, lotId, summary!.pieces)
  const named = [...family.rubbed, ...summary!.pieces.filter(piece => piece.parentId !== null)]
  const customers = await tables.parties.pick(['name'], { id: dispatches.map(dispatch => dispatch.customerId) })
  const dispatchOf = new Map(dispatches.map(dispatch => [dispatch.id, dispatch]))
  const customerOf = new Map(customers.map(customer => [customer.id, customer]))
  return {
    ok: true,
    value: {
      ...summary!,
      ...family,
      ...lines,
      judgement: row.judgement,
      residual,
      meatScale: markAt(row.meatScaleId, row.rubbedAtMs),
      mixScale: markAt(row.mixScaleId, row.rubbedAtMs),
      targets: row.targets,
      note: row.note,
      readyTyped: row.readyTyped,
      events,
      purpose: row.purpose,
      sides: row.sides,
      waterTyped: row.waterTyped,
      weighedBackTyped: row.weighedBackTyped,
      afterTyped: row.afterTyped,
      firstShare: row.firstShare,
      recipe,
      labResults: labResults.map(({ id, residualPpm, laboratory, report, sampledOn, atMs, byId }) => ({
        id,
        residualPpm,
        laboratory,
        report,
        sampledOn,
        atMs,
        by: users.find(user => user.id === byId)!.initials,
      })),
      allergens: [...new Set(ingredients.flatMap(lot => lot.allergens ?? []))].toSorted(),
      ingredients: used.map((part) => {
        const { id, role, plannedG, weighedG, weighedTyped, application, pieceIds, pieceNumbers, face, usedFor } = part
        const { code: lotCode, name, saltFraction, sugarFraction } = ingredients.find(ingredient => ingredient.id === part.ingredientLotId)!
        const step = part.stepId === null ? undefined : putAt.get(part.stepId)
        return {
          id,
          role,
          code: lotCode,
          name,
          plannedG,
          weighedG,
          weighedTyped,
          application,
          pieceNumbers: pieceIds
            ? named.filter(piece => pieceIds.includes(piece.id)).map(pieceName)
            : pieceNumbers,
          atMs: step?.fromAtMs ?? part.appliedAtMs,
          face,
          usedFor,
          unweighed: part.unweighed ?? false,
          saltFraction,
          sugarFraction,
        }
      }),
      holds: holdViews(holds, users, places),
      packList: packs.map(({ id, code: packCode, kind, netG, netTyped, packedOn, packedAtMs, scaleId, dispatchId }) => {
        const dispatch = dispatchId === null ? undefined : dispatchOf.get(dispatchId)
        const customer = dispatch && customerOf.get(dispatch.customerId)
        return {
          id,
          code: packCode,
          kind,
          netG,
          netTyped,
          packedOn,
          scale: markAt(scaleId, packedAtMs),
          customer: customer?.name ?? null,
          sentOn: dispatch?.sentOn ?? null,
          returned: returns.get(id) ?? null,
        }
      }),
      offcuts: offcuts.map(({ kind, massG, massTyped, atMs, atCut }) => ({ kind, massG, typed: massTyped, atMs, atCut: atCut ?? false })),
    },
  }
}
