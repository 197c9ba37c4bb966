import { connectAsOwner, insertRows, linksOf, readAll } from './tables.mjs'
import { restated, restatedHolds, restatedSteps } from './restate.mjs'
import { chance, copier, later } from './rows.mjs'
import { customers, fullStory, storyOf } from './story.mjs'
import { importSource } from '../typescript.mjs'

const LOTS = ['L-0001', 'L-0002']
const DAYS = 3650
const LOTS_A_SALT_BAG = 250
/** Tables whose rows are made anew; all others stay as the demo has them. */
const GROWN = [
  'deliveries',
  'meat_lots',
  'cuttings',
  'meat_pieces',
  'ingredient_lots',
  'stock_moves',
  'mix_parts',
  'lots',
  'pieces',
  'lot_ingredients',
  'turns',
  'offcuts',
  'holds',
  'lab_results',
  'runs',
  'run_pieces',
  'steps',
  'dispatches',
  'packs',
  'place_readings',
  'run_readings',
]
const BOOK = ['events', 'event_subjects', 'event_rows', 'answers']
const EVENTS_AT_ONCE = 4000
/** Which smoke before the last has a logger's readings, one a second. */
const LONG_BEFORE_LAST = 5

/** Records of copies, as the book wants them: chained one behind the other from the first. */
async function bookWriter(owner) {
  const [{ chainText, FIRST_HASH }, { sha256 }] = await Promise.all(
    ['core/book/chain-text.ts', 'server/digest/sha256.ts'].map(importSource),
  )
  let [id, hash, lastAt] = [0, FIRST_HASH, null]
  const [events, subjects] = [[], []]
  async function flush() {
    await insertRows(owner, 'events', events.splice(0))
    await insertRows(owner, 'event_subjects', subjects.splice(0))
  }
  return {
    async write(row) {
      id += 1
      const record = {
        id,
        kind: row.kind,
        userId: row.user_id,
        who: row.who,
        station: row.station,
        atMs: Date.parse(`${row.at.replace(' ', 'T')}Z`),
        zone: row.zone,
        arithmetic: row.arithmetic,
        typed: row.typed,
        computed: row.computed,
        reason: row.reason,
        subjects: row.subjects,
        voidsId: row.voids_id,
        clockBehindMs: null,
        touched: null,
      }
      hash = sha256(chainText(hash, record))
      lastAt = row.at
      events.push({ ...row, id, clock_behind: null, hash })
      for (const code of JSON.parse(row.subjects)) subjects.push({ event_id: id, code })
      if (events.length >= EVENTS_AT_ONCE) await flush()
      return id
    },
    async close() {
      await flush()
      await owner.query('UPDATE book_head SET last_id = ?, hash = ?, last_at = ?', [id, hash, lastAt])
      return id
    },
  }
}

/**
 * The readings of a copied run, made by the database: a heat that rises to its core and cools through the night. The
 * answer is the first one's id; the others follow it.
 */
async function readings(owner, run, count) {
  const { insertId } = await owner.query(
    `
  INSERT INTO run_readings (run_id, phase, at, chamber_c, core_c, typed, source, core_offset_c, chamber_offset_c, by_id, voided)
  SELECT ?, IF(seq <= ? * 0.35, 'smoke', 'cool'), DATE_ADD(?, INTERVAL ROUND(seq * 65000000 / ?) * 1000 MICROSECOND),
    IF(seq <= ? * 0.35, 81, NULL),
    IF(seq <= ? * 0.35, 4 + 61 * (1 - EXP(-seq * 9 / ?)), 3 + 61 * EXP(-(seq - ? * 0.35) * 9 / ?)), '', 'csv', 0, 0, 1, 0
  FROM seq_1_to_${Number(count)}`,
    [run.id, count, run.started_at, count, count, count, count, count, count],
  )
  return Number(insertId)
}

/**
 * Grows the demo shop in this database to so many lots (or one more: they come in pairs) over ten years, the demo's own
 * at the end, in a book whose chain and seals hold. `readingsARun` go into each smoke of two lots, `longRun` into one of
 * the last. The same seed gives the same shop.
 */
export async function growShop({
  adminUrl,
  url,
  lots,
  readingsARun,
  longRun = 0,
  seed = 1,
  say = /** @type {(line: string) => void} */ (() => {}),
}) {
  const [{ openStore }, { loadDemo }, { connect }, { sealRows }, { guardBook, unguardBook }] = await Promise.all(
    [
      'server/db/database.ts',
      'server/demo/load-demo.ts',
      'server/db/line/connect.ts',
      'server/db/integrity/seal-rows.ts',
      'server/db/setup/book-guard.ts',
    ].map(importSource),
  )
  const store = openStore(url)
  await loadDemo(store, Date.now())
  await store.close()
  const admin = connect(adminUrl, 2)
  const owner = await connectAsOwner(adminUrl)
  try {
    await unguardBook(admin)
    const all = await readAll(owner, [...GROWN, ...BOOK, 'parties', 'code_counters'])
    const { copy, last } = copier(await linksOf(owner))
    await owner.query('SET foreign_key_checks = 0, unique_checks = 0')
    for (const table of [...GROWN, ...BOOK]) await owner.query(`TRUNCATE TABLE \`${table}\``)
    const random = chance(seed)
    const book = await bookWriter(owner)
    const houses = customers(Math.max(...all.parties.map(party => party.id)) + 1)
    await insertRows(owner, 'parties', houses)
    const story = fullStory(storyOf(all, LOTS))
    const takenBack = new Set(all.events.map(event => event.voids_id))
    const own = new Set([...LOTS, ...story.runs.map(run => run.code), ...story.meat_lots.map(lot => lot.code)])
    const told = all.events.filter((event) => {
      const subjects = JSON.parse(event.subjects)
      const isOfOthers = subjects.some(code => code.startsWith('L-') && !LOTS.includes(code))
      return (
        event.kind !== 'sent'
        && event.voids_id === null
        && !takenBack.has(event.id)
        && !isOfOthers
        && subjects.some(code => own.has(code))
      )
    })
    const opening = all.events
      .filter(event => JSON.parse(event.subjects).length === 0 || event.kind === 'place_read')
      .slice(0, 40)
    for (const event of opening) await book.write({ ...event, voids_id: null, subjects: '[]', at: all.events[0].at })
    const bags = all.ingredient_lots.filter(lot =>
      story.lot_ingredients.some(part => part.ingredient_lot_id === lot.id),
    )
    const pairs = Math.max(0, Math.round((lots - all.lots.length) / 2))
    let salts = new Map()
    for (let n = 0; n < pairs; n++) {
      const days = -Math.round(((pairs - n) * DAYS) / Math.max(pairs, 1)) - 30
      if ((n * 2) % LOTS_A_SALT_BAG === 0) {
        // The ones before are empty by now.
        await owner.query('UPDATE ingredient_lots SET finished_at = received_at')
        const bag = copy(
          {
            ingredient_lots: bags.map(lot => ({
              ...lot,
              amount_g: '60000.0000',
              finished_at: null,
              certificate_file_id: null,
            })),
          },
          days,
        )
        await insertRows(owner, 'ingredient_lots', bag.rows.ingredient_lots)
        salts = new Map(bags.map((lot, i) => [lot.id, bag.rows.ingredient_lots[i].id]))
      }
      const { rows: { steps, ...rows }, recoded, ids } = copy(story, days)
      for (const part of rows.lot_ingredients)
        part.ingredient_lot_id = salts.get(part.ingredient_lot_id) ?? part.ingredient_lot_id
      for (const sending of rows.dispatches) sending.customer_id = houses[Math.floor(random() * houses.length)].id
      for (const lot of [...rows.lots, ...rows.meat_lots]) lot.finished_at ??= lot.rubbed_at ?? lot.received_at
      rows.holds = restatedHolds(rows.holds ?? [], ids)
      for (const [table, made] of Object.entries(rows)) await insertRows(owner, table, made)
      const spans = new Map()
      for (const run of rows.runs) {
        const count = longRun > 0 && n === pairs - LONG_BEFORE_LAST ? longRun : readingsARun
        const first = await readings(owner, run, count)
        spans.set(run.id, [[first, first + count - 1]])
      }
      ids.set('ingredient_lots', salts)
      const shifted = copyEvents(told, days, text => restated(recoded(text), ids, (_, runId) => spans.get(runId)), recoded)
      const eventIds = new Map()
      for (const [i, event] of shifted.entries()) eventIds.set(told[i].id, await book.write(event))
      await insertRows(owner, 'steps', restatedSteps(steps, { ids, recoded }, eventIds))
      if ((n + 1) % 200 === 0) say(`${(n + 1) * 2} lots`)
    }
    const today = copy(Object.fromEntries(GROWN.map(table => [table, all[table]])), 0)
    // The database has numbered the readings of all the others itself.
    const [{ behind }] = await owner.query('SELECT COALESCE(MAX(id), 0) AS behind FROM run_readings')
    const readingIds = today.ids.get('run_readings')
    today.rows.run_readings = today.rows.run_readings.map(row => ({ ...row, id: row.id + behind }))
    const { steps, ...others } = today.rows
    others.holds = restatedHolds(others.holds, today.ids)
    for (const [table, rows] of Object.entries(others)) await insertRows(owner, table, rows)
    const written = new Map()
    const moved = spans => spans.map(span => span.map(id => readingIds.get(id) + behind))
    const retold = text => restated(today.recoded(text), today.ids, moved)
    for (const event of all.events) {
      written.set(
        event.id,
        await book.write({
          ...event,
          typed: retold(event.typed),
          computed: retold(event.computed),
          subjects: today.recoded(event.subjects),
          voids_id: written.get(event.voids_id) ?? null,
        }),
      )
    }
    await insertRows(owner, 'steps', restatedSteps(steps, today, written))
    await book.close()
    const { codes } = last()
    for (const counter of all.code_counters)
      await owner.query('UPDATE code_counters SET last = GREATEST(last, ?) WHERE kind = ?', [
        codes.get(LETTER[counter.kind]) ?? 0,
        counter.kind,
      ])
    await owner.query('SET foreign_key_checks = 1, unique_checks = 1')
    await owner.query(
      'ANALYZE TABLE lots, pieces, packs, run_readings, run_pieces, dispatches, lot_ingredients, events, event_subjects',
    )
    say('sealing every row')
    // The guard moves the head with each of its records.
    await guardBook(admin)
    await sealRows(admin, Date.now(), 0)
  }
  finally {
    await owner.end()
    await admin.close()
  }
}

const LETTER = { delivery: 'D', meat: 'M', ingredient: 'N', lot: 'L', run: 'S', pack: 'P' }
const copyEvents = (events, days, retold, recoded) =>
  events.map(event => ({
    ...event,
    at: later(event.at, days),
    typed: retold(event.typed),
    computed: retold(event.computed),
    subjects: recoded(event.subjects),
    voids_id: null,
  }))
