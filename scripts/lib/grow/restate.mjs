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
  readingId: 'fridge_readings',
  meatPieceId: 'meat_pieces',
}

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
  return JSON.stringify(
    Array.isArray(told.readings) && told.runId !== undefined
      ? { ...told, readings: spansOf(told.readings, told.runId) }
      : told,
  )
}
