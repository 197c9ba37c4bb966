import { byId } from '#core/lists/by-id'
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
  const revision = await tables.recipeRevisions.the({ id: revisionId })
  const recipe = await tables.recipes.the({ id: revision.recipeId })
  return { code: recipe.code, name: revision.content.name, number: revision.number }
}

/** What went on a lot: each part with what it came from, the pieces it went on, and when. */
async function ingredientsOf(tables: Tables, lotId: number, named: readonly (Parameters<typeof pieceName>[0] & { id: number })[]) {
  const used = await tables.lotIngredients.find({ lotId })
  const [lots, steps] = await Promise.all([
    tables.ingredientLots.find({ id: used.map(part => part.ingredientLotId) }),
    tables.steps.pick(['fromAtMs'], { id: used.flatMap(part => part.stepId ?? []) }),
  ])
  const [lotOf, stepOf] = [byId(lots, 'ingredient lot'), new Map(steps.map(step => [step.id, step]))]
  return {
    allergens: [...new Set(lots.flatMap(lot => lot.allergens ?? []))].toSorted(),
    ingredients: used.map((part) => {
      const { id, role, plannedG, weighedG, weighedTyped, application, pieceIds, pieceNumbers, face, usedFor } = part
      const { code, name, saltFraction, sugarFraction } = lotOf(part.ingredientLotId)
      return {
        id,
        role,
        code,
        name,
        plannedG,
        weighedG,
        weighedTyped,
        application,
        pieceNumbers: pieceIds ? named.filter(piece => pieceIds.includes(piece.id)).map(pieceName) : pieceNumbers,
        atMs: (part.stepId === null ? undefined : stepOf.get(part.stepId)?.fromAtMs) ?? part.appliedAtMs,
        face,
        usedFor,
        unweighed: part.unweighed ?? false,
        saltFraction,
        sugarFraction,
      }
    }),
  }
}

/** The packs of a lot: on which scale each was weighed, who has it, and whether it came back. */
async function packsOf(tables: Tables, lotId: number, markAt: Awaited<ReturnType<typeof loadMarks>>) {
  const packs = await tables.packs.find({ lotId })
  const [dispatches, returns] = await Promise.all([
    tables.dispatches.find({ id: packs.flatMap(pack => pack.dispatchId ?? []) }),
    returnViews(tables, lotId),
  ])
  const customers = await tables.parties.pick(['name'], { id: dispatches.map(dispatch => dispatch.customerId) })
  const dispatchOf = new Map(dispatches.map(dispatch => [dispatch.id, dispatch]))
  const customerOf = byId(customers, 'customer')
  return packs.map(({ id, code, kind, netG, netTyped, packedOn, packedAtMs, scaleId, dispatchId }) => {
    const dispatch = dispatchId === null ? undefined : dispatchOf.get(dispatchId)
    return {
      id,
      code,
      kind,
      netG,
      netTyped,
      packedOn,
      scale: markAt(scaleId, packedAtMs),
      customer: dispatch ? customerOf(dispatch.customerId).name : null,
      sentOn: dispatch?.sentOn ?? null,
      returned: returns.get(id) ?? null,
    }
  })
}

/** What laboratories found, and who wrote it down. */
async function labResultsOf(tables: Tables, lotId: number, initialsOf: (userId: number) => string) {
  const results = await tables.labResults.find({ lotId })
  return results.map(({ id, residualPpm, laboratory, report, sampledOn, atMs, byId: userId }) => ({
    id,
    residualPpm,
    laboratory,
    report,
    sampledOn,
    atMs,
    by: initialsOf(userId),
  }))
}

async function offcutsOf(tables: Tables, lotId: number) {
  const offcuts = await tables.offcuts.find({ lotId })
  return offcuts.map(({ kind, massG, massTyped, atMs, atCut }) => ({ kind, massG, typed: massTyped, atMs, atCut: atCut ?? false }))
}

/** Holds of a lot, with the places in which it lay too warm. */
async function holdsOf(tables: Tables, lotId: number, users: Parameters<typeof holdViews>[1]) {
  const holds = await tables.holds.find({ lotId })
  const places = holds.some(hold => hold.fromAtMs !== null) ? await tables.places.pick(['code', 'name']) : []
  return holdViews(holds, users, places)
}

/** The whole life of a lot. */
export async function lotView(tables: Tables, code: string, nowMs: Milliseconds): Promise<Answer<LotView>> {
  const row = await tables.lots.one({ code })
  if (!row)
    return refuse((await tables.lots.count({ code }, { withVoided: true })) > 0 ? 'lot_voided' : 'no_such_lot', {
      code,
    })
  const lotId = row.id
  const [[summary], users, markAt] = await Promise.all([
    lotSummaries(tables, [row], nowMs),
    tables.users.find(),
    loadMarks(tables, row.rubbedAtMs),
  ])
  const userOf = byId(users, 'user')
  const family = await pieceFamily(tables, lotId, summary!.pieces)
  const named = [...family.rubbed, ...summary!.pieces.filter(piece => piece.parentId !== null)]
  const [lines, wentOn, packList, labResults, offcuts, holds, events, residual, recipe] = await Promise.all([
    pieceLines(tables, lotId),
    ingredientsOf(tables, lotId, named),
    packsOf(tables, lotId, markAt),
    labResultsOf(tables, lotId, id => userOf(id).initials),
    offcutsOf(tables, lotId),
    holdsOf(tables, lotId, users),
    eventsAbout(tables, code),
    residualOf(tables, row),
    row.recipeRevisionId === null ? null : recipeOf(tables, row.recipeRevisionId),
  ])
  const { judgement, targets, note, readyTyped, purpose, sides, waterTyped, weighedBackTyped, afterTyped, firstShare } = row
  return {
    ok: true,
    value: {
      ...summary!,
      ...family,
      ...lines,
      ...wentOn,
      judgement,
      residual,
      meatScale: markAt(row.meatScaleId, row.rubbedAtMs),
      mixScale: markAt(row.mixScaleId, row.rubbedAtMs),
      targets,
      note,
      readyTyped,
      events,
      purpose,
      sides,
      waterTyped,
      weighedBackTyped,
      afterTyped,
      firstShare,
      recipe,
      labResults,
      holds,
      packList,
      offcuts,
    },
  }
}
