/** What a record of a copied lot names by id: the table of each key. What is not copied keeps its id. */
const TABLE_OF = {
  lotId: 'lots',
  lotIds: 'lots',
  turnId: 'turns',
  meatLotId: 'meat_lots',
  deliveryId: 'deliveries',
  ingredientLotId: 'ingredient_lots',
  mixLotId: 'ingredient_lots',
  runId: 'runs',
  offcutIds: 'offcuts',
  dispatchId: 'dispatches',
  pieceId: 'pieces',
  pieceIds: 'pieces',
  moveId: 'stock_moves',
  cuttingId: 'cuttings',
  labResultId: 'lab_results',
  readingId: 'place_readings',
  meatPieceId: 'meat_pieces',
}
/** What a record tells of beside its figures, by table. */
const TOLD = { steps: 'steps', ends: 'steps', holds: 'holds' }
const retells = (tells, ids) =>
  Object.fromEntries(Object.entries(tells).map(([key, told]) => [key, told.map(id => ids.get(TOLD[key])?.get(id) ?? id)]))
/** The steps of a press, each with the id of its copy. */
const restepped = (steps, ids) =>
  steps.map(step => (step?.id === undefined ? step : { ...step, id: ids.get('steps')?.get(step.id) ?? step.id }))

/** Holds of copies, on the pieces of the copies. */
export const restatedHolds = (holds, ids) =>
  holds.map(hold => ({
    ...hold,
    changed_event_id: null,
    piece_ids:
      hold.piece_ids && JSON.stringify(JSON.parse(hold.piece_ids).map(id => ids.get('pieces').get(id) ?? id)),
  }))

/** Steps of copies: their pieces and labels by the copies' ids, codes as they read now, and which record tells of them. */
export const restatedSteps = (steps, { ids, recoded }, eventIds) =>
  steps.map((step) => {
    const pieces = ids.get('pieces')
    const figures = JSON.parse(recoded(step.figures))
    const spots = figures.spots && Object.fromEntries(
      Object.entries(figures.spots).map(([id, spot]) => [pieces.get(Number(id)) ?? id, spot]),
    )
    return {
      ...step,
      pieces: JSON.stringify(JSON.parse(step.pieces).map(id => pieces.get(id) ?? id)),
      figures: JSON.stringify(spots ? { ...figures, spots } : figures),
      event_id: eventIds.get(step.event_id) ?? null,
      end_event_id: eventIds.get(step.end_event_id) ?? null,
    }
  })

/**
 * A record's JSON with the ids of the copy in it, by each table's map of old ids to new: what it names is what belongs
 * to its own lot, so that a record of an old lot can be taken back like any other. `spansOf` tells where the readings
 * that a record added lie now.
 */
export function restated(text, ids, spansOf) {
  const idOf = (key, id) => ids.get(TABLE_OF[key])?.get(id) ?? id
  const told = JSON.parse(text, (key, value) =>
    TABLE_OF[key] === undefined
      ? value
      : Array.isArray(value)
        ? value.map(id => idOf(key, id))
        : idOf(key, value),
  )
  return JSON.stringify({
    ...told,
    ...(told.tells ? { tells: retells(told.tells, ids) } : {}),
    ...(Array.isArray(told.steps) ? { steps: restepped(told.steps, ids) } : {}),
    ...(Array.isArray(told.readings) && told.runId !== undefined ? { readings: spansOf(told.readings, told.runId) } : {}),
  })
}
