import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'

/** Packs of one lot that went to one customer, or to none yet. */
export interface PackBundle { lotId: number, customerId: number | null, packs: number, massG: number, firstCode: string, lastCode: string }

/** What a thread asks across tables: joined and added up by the database, however many packs a lot has. */
export interface ThreadReader {
  /** Which meat went into which lots. */
  meatOf: (lotIds: readonly number[]) => Promise<{ lotId: number, meatLotId: number, greenG: number }[]>
  /** Which runs lots were in. */
  runsOf: (lotIds: readonly number[]) => Promise<{ lotId: number, runId: number }[]>
  bundlesOf: (lotIds: readonly number[]) => Promise<PackBundle[]>
}

/** Codes in the order of their numbers: "P-9999" before "P-10000". */
const least = (which: 'MIN' | 'MAX'): string => `SUBSTR(${which}(CONCAT(LPAD(LENGTH(p.code), 2, '0'), p.code)), 3)`

export function threadReader(sequelize: Sequelize, transaction?: Transaction): ThreadReader {
  const rows = async <R extends object>(lotIds: readonly number[], sql: (ids: string) => string): Promise<R[]> => lotIds.length === 0
    ? []
    : await sequelize.query<R>(sql(lotIds.map(Number).join(', ')), { type: QueryTypes.SELECT, ...(transaction ? { transaction } : {}) })
  return {
    meatOf: async lotIds => (await rows<{ lotId: number, meatLotId: number, greenG: string }>(lotIds, ids => `
      SELECT lot_id AS lotId, meat_lot_id AS meatLotId, SUM(green_g) AS greenG FROM pieces WHERE voided = 0 AND lot_id IN (${ids}) GROUP BY lot_id, meat_lot_id`))
      .map(row => ({ ...row, greenG: Number(row.greenG) })),
    runsOf: lotIds => rows(lotIds, ids => `
      SELECT DISTINCT p.lot_id AS lotId, r.run_id AS runId FROM pieces p JOIN run_pieces r ON r.piece_id = p.id AND r.voided = 0 WHERE p.voided = 0 AND p.lot_id IN (${ids})`),
    bundlesOf: async lotIds => (await rows<Omit<PackBundle, 'packs' | 'massG'> & { packs: unknown, massG: unknown }>(lotIds, ids => `
      SELECT p.lot_id AS lotId, d.customer_id AS customerId, COUNT(*) AS packs, SUM(p.net_g) AS massG, ${least('MIN')} AS firstCode, ${least('MAX')} AS lastCode
      FROM packs p LEFT JOIN dispatches d ON d.id = p.dispatch_id AND d.voided = 0 WHERE p.voided = 0 AND p.lot_id IN (${ids}) GROUP BY p.lot_id, d.customer_id`))
      .map(row => ({ ...row, packs: Number(row.packs), massG: Number(row.massG) })),
  }
}
