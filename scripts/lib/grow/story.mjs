/** What a grown shop's lot is like, whatever the demo's is: pieces, packs and sendings of each. */
const PIECES_A_LOT = 10
const PACKS_A_LOT = 75
const SENDINGS_A_LOT = 15
const CUSTOMERS = 200

/**
 * The two finished lots of the demo and all that belongs to them, by table: what is copied for every two lots of ten
 * years.
 */
export function storyOf(all, lotCodes) {
  const lots = all.lots.filter(lot => lotCodes.includes(lot.code))
  const of = (table, column, rows) => {
    const ids = new Set(rows.map(row => row.id))
    return all[table].filter(row => ids.has(row[column]) && !row.voided)
  }
  const pieces = of('pieces', 'lot_id', lots)
  const inRuns = of('run_pieces', 'piece_id', pieces)
  const runs = all.runs.filter(run => inRuns.some(row => row.run_id === run.id))
  const meat = all.meat_lots.filter(lot => pieces.some(piece => piece.meat_lot_id === lot.id))
  const deliveries = all.deliveries.filter(delivery => meat.some(lot => lot.delivery_id === delivery.id))
  return {
    deliveries: deliveries.map(row => ({ ...row, photo_id: null })),
    meat_lots: meat,
    lots,
    pieces: pieces.map(piece => ({ ...piece, meat_piece_id: null })),
    lot_ingredients: of('lot_ingredients', 'lot_id', lots),
    turns: of('turns', 'lot_id', lots),
    steps: of('steps', 'lot_id', lots),
    offcuts: of('offcuts', 'lot_id', lots),
    runs,
    run_pieces: inRuns,
    packs: of('packs', 'lot_id', lots),
    dispatches: all.dispatches.filter(row => !row.voided),
  }
}

/**
 * The story with as many pieces, packs and sendings as a busy shop's lot has; weights are shared out anew, so that none
 * is made or lost.
 */
export function fullStory(story) {
  const pieces = story.lots.flatMap((lot) => {
    const mine = story.pieces.filter(piece => piece.lot_id === lot.id)
    const total = mine.reduce((sum, piece) => sum + Number(piece.green_g), 0)
    return Array.from({ length: PIECES_A_LOT }, (_, i) => ({
      ...mine[i % mine.length],
      // The first are the demo's own: records name them.
      id: mine[i]?.id ?? lot.id * 1000 + i,
      number: i + 1,
      green_g: (total / PIECES_A_LOT).toFixed(4),
      green_typed: `${Math.round(total / PIECES_A_LOT)} g`,
      bag: null,
    }))
  })
  const sending = story.dispatches[0]
  const dispatches = story.lots.flatMap(lot =>
    Array.from({ length: SENDINGS_A_LOT }, (_, i) => ({ ...sending, id: lot.id * 1000 + i })),
  )
  const packs = story.lots.flatMap((lot) => {
    const mine = story.packs.filter(pack => pack.lot_id === lot.id)
    const total = mine.reduce((sum, pack) => sum + Number(pack.net_g), 0)
    return Array.from({ length: PACKS_A_LOT }, (_, i) => ({
      ...mine[0],
      id: mine[i]?.id ?? lot.id * 1000 + i,
      code: mine[i]?.code ?? `P-9${lot.id}${String(i).padStart(3, '0')}`,
      net_g: (total / PACKS_A_LOT).toFixed(4),
      net_typed: `${Math.round(total / PACKS_A_LOT)} g`,
      dispatch_id: lot.id * 1000 + (i % SENDINGS_A_LOT),
    }))
  })
  // Each of the pieces was done what was done to all.
  const steps = story.steps.map(step => ({
    ...step,
    pieces: JSON.stringify(pieces.filter(piece => piece.lot_id === step.lot_id).map(piece => piece.id)),
  }))
  const run_pieces = pieces.map((piece, i) => ({ id: i + 1, run_id: story.runs[0].id, piece_id: piece.id, voided: 0 }))
  return { ...story, pieces, steps, dispatches, packs, run_pieces }
}

/** Customers enough for ten years, beside those that are there. */
export const customers = (firstId, kind = 'customer') =>
  Array.from({ length: CUSTOMERS }, (_, i) => ({
    id: firstId + i,
    kind,
    name: `House ${String(i + 1).padStart(3, '0')}`,
    contact: null,
    approval: null,
    note: null,
  }))
