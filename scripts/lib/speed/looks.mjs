import { median } from '../ranks.mjs'

/**
 * What is looked at, by name: the rooms, a lot and a smoke in the middle of the years, the most used ingredient's
 * thread, and the commonest press.
 */
export async function looks(owner) {
  const one = async sql => (await owner.query(sql))[0].code
  const lot = await one('SELECT code FROM lots WHERE finished_at IS NOT NULL ORDER BY id DESC LIMIT 1 OFFSET 20')
  const run = await one('SELECT code FROM runs ORDER BY id DESC LIMIT 1 OFFSET 12')
  const long = await one(
    `SELECT s.code FROM runs s JOIN run_readings r ON r.run_id = s.id
     GROUP BY s.id ORDER BY COUNT(*) DESC, s.id LIMIT 1`,
  )
  const [{ code: longLot }] = await owner.query(
    `SELECT l.code FROM lots l JOIN pieces p ON p.lot_id = l.id
     JOIN run_pieces r ON r.piece_id = p.id JOIN runs s ON s.id = r.run_id WHERE s.code = ? LIMIT 1`,
    [long],
  )
  const ingredient = await one(
    `SELECT n.code FROM ingredient_lots n JOIN lot_ingredients u ON u.ingredient_lot_id = n.id
     GROUP BY n.id ORDER BY COUNT(*) DESC LIMIT 1`,
  )
  const get = (name, path) => ({ name, ask: who => who.get(path) })
  return [
    get('floor', '/api/floor'),
    get('store', '/api/store'),
    get('bench', '/api/bench'),
    get('ledger: lots', '/api/lots'),
    get('ledger: the book', '/api/events'),
    get('salt ledger', '/api/salt-ledger'),
    get('recipes', '/api/recipes'),
    get('office', '/api/office/people'),
    get('a lot', `/api/lots/${lot}`),
    get('a smoke', `/api/runs/${run}`),
    get('a long smoke\'s lot', `/api/lots/${longLot}`),
    get('a long smoke', `/api/runs/${long}`),
    get(`thread of ${ingredient}`, `/api/thread/${ingredient}`),
    {
      name: 'a fridge reading',
      ask: who => who.post('/api/fridges/1/readings', { temperature: { typed: '3.2', unit: 'C' } }),
    },
  ]
}

/** The thread's own answer as one statement: what no program can be quicker than. */
export async function bestStatement(owner, name) {
  const times = []
  for (let i = 0; i < 5; i++) {
    const began = performance.now()
    await owner.query(
      `SELECT l.code AS lot, p.code AS pack, p.net_g, d.sent_on, c.name
       FROM (SELECT DISTINCT lot_id FROM lot_ingredients WHERE voided = 0
             AND ingredient_lot_id = (SELECT id FROM ingredient_lots WHERE code = ?)) u
       JOIN lots l ON l.id = u.lot_id AND l.voided = 0
       JOIN packs p ON p.lot_id = l.id AND p.voided = 0
       LEFT JOIN dispatches d ON d.id = p.dispatch_id AND d.voided = 0
       LEFT JOIN parties c ON c.id = d.customer_id`,
      [name.split(' ').at(-1)],
    )
    times.push(performance.now() - began)
  }
  return median(times)
}
