import { insertRows } from '../grow/tables.mjs'

const LOTS = 40
const PIECES = 6
const STEPS = 30
const DAY_MS = 86_400_000
const atText = ms => new Date(ms).toISOString().replace('T', ' ').replace('Z', '')

/** What is told of each lot day by day: turned, poured off, looked at. */
const FIGURES = {
  turn: { how: 'turned', face: null },
  drain: { how: 'poured_off', drained: { lowG: 4, highG: 5 }, back: false, saltLies: false, tookSalt: false },
  look: { feel: 'edges_firm' },
}
const KINDS = ['turn', 'look', 'turn', 'drain']

const like = (row, changes) => ({ ...row, ...changes })
const numbered = async (owner, table, rows) => {
  const [{ last }] = await owner.query(`SELECT COALESCE(MAX(id), 0) AS last FROM \`${table}\``)
  const withIds = rows.map((row, i) => ({ ...row, id: last + 1 + i }))
  await insertRows(owner, table, withIds)
  return withIds
}

/**
 * Lays so many lots into the cold room of a shop, each of six pieces and with thirty steps behind it, like the last lot
 * of the demo that cures. Answers with their codes. No record tells of them: the book's walk is not for this shop.
 */
export const fillColdRoom = owner => layLots(owner, { lots: LOTS, pieces: PIECES, steps: STEPS, from: 'L-8' })

/** One lot of twelve pieces and sixty steps, and readings of its place all the while. Answers with its code. */
export async function layLongLot(owner, readings = 20_000) {
  const days = 30
  const [code] = await layLots(owner, { lots: 1, pieces: 12, steps: 60, from: 'L-9' })
  const [{ place }] = await owner.query('SELECT place_id AS place FROM pieces WHERE lot_id = (SELECT id FROM '
    + 'lots WHERE code = ?) LIMIT 1', [code])
  const [model] = await owner.query('SELECT * FROM place_readings WHERE place_id = ? AND voided = 0 ORDER BY id DESC LIMIT 1', [place])
  const everyMs = (days * DAY_MS) / readings
  await numbered(
    owner,
    'place_readings',
    Array.from({ length: readings }, (_, i) =>
      like(model, { at: atText(Date.now() - (readings - i) * everyMs), temp_c: 2 + Math.sin(i / 40) }),
    ),
  )
  return code
}

async function layLots(owner, { lots: many, pieces: each, steps: told, from }) {
  const [model] = await owner.query(
    `SELECT * FROM lots WHERE finished_at IS NULL AND cure_ended_at IS NULL AND method = 'dry' AND voided = 0
     ORDER BY id DESC LIMIT 1`,
  )
  const [piece] = await owner.query('SELECT * FROM pieces WHERE lot_id = ? AND voided = 0 LIMIT 1', [model.id])
  const parts = await owner.query('SELECT * FROM lot_ingredients WHERE lot_id = ? AND voided = 0', [model.id])
  const [rub] = await owner.query('SELECT * FROM steps WHERE lot_id = ? AND kind = ?', [model.id, 'rub'])
  const rubbedMs = Date.now() - (told / 2) * DAY_MS
  const lots = await numbered(
    owner,
    'lots',
    Array.from({ length: many }, (_, i) =>
      like(model, { code: `${from}${String(i).padStart(3, '0')}`, rubbed_at: atText(rubbedMs) }),
    ),
  )
  const pieces = await numbered(
    owner,
    'pieces',
    lots.flatMap(lot =>
      Array.from({ length: each }, (_, i) =>
        like(piece, { lot_id: lot.id, number: i + 1, stage: 'cure', since: atText(rubbedMs), out_at: null }),
      ),
    ),
  )
  await numbered(owner, 'lot_ingredients', lots.flatMap(lot => parts.map(part => like(part, { lot_id: lot.id }))))
  const idsOf = lot => JSON.stringify(pieces.filter(one => one.lot_id === lot.id).map(one => one.id))
  const step = (lot, kind, ms, figures, more = {}) =>
    like(rub, { event_id: null, lot_id: lot.id, kind, pieces: idsOf(lot), from_at: atText(ms), to_at: atText(ms), figures, ...more })
  const steps = lots.flatMap(lot => [
    step(lot, 'rub', rubbedMs, rub.figures),
    ...Array.from({ length: told - 1 }, (_, i) => {
      const kind = KINDS[i % KINDS.length]
      return step(lot, kind, rubbedMs + (i + 1) * (DAY_MS / 2), JSON.stringify(FIGURES[kind]), { place_id: null })
    }),
  ])
  await numbered(owner, 'steps', steps)
  return lots.map(lot => lot.code)
}
