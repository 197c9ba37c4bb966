import type { Grams, Milliseconds } from '#core/units/quantities'
import type { Sequelize } from 'sequelize'
import { ask, type Within } from '../line/ask'
import { epochMs } from '../line/epoch-ms'

/**
 * Packs of one slicing of a lot that went to one customer, or to none yet; `stepId` null: from before that was kept.
 * Codes are told where there are few bundles.
 */
export interface PackBundle {
  lotId: number
  customerId: number | null
  stepId: number | null
  packs: number
  massG: Grams
  firstCode: string | null
  lastCode: string | null
}

/** Packs of one lot, or with one customer; `id` null: with nobody yet. */
export interface PackTotal {
  id: number | null
  packs: number
  massG: Grams
}

/** What of an ingredient lot went into a lot: when, how much, by whom, on which scale. */
export interface IngredientUse {
  ingredientLotId: number
  code: string
  atMs: Milliseconds
  massG: Grams
  readabilityG: Grams
  typed: string
  byId: number
  scaleId: number | null
}

/** What a thread asks across tables: joined and added up by the database, however many packs a lot has. */
export interface ThreadReader {
  /** Which meat went into which lots. */
  meatOf: (lotIds: readonly number[]) => Promise<{ lotId: number; meatLotId: number; greenG: Grams }[]>
  /** Which runs each piece of some lots was in. */
  runsOf: (lotIds: readonly number[]) => Promise<{ lotId: number; pieceId: number; runId: number }[]>
  /** Everything that went of ingredient lots into lots, in the order in which it was written. */
  usesOf: (ingredientLotIds: readonly number[]) => Promise<IngredientUse[]>
  bundlesOf: (lotIds: readonly number[]) => Promise<PackBundle[]>
  /** Packs of lots, added up by lot and by who has them. */
  packTotalsOf: (lotIds: readonly number[]) => Promise<{ byLot: PackTotal[]; byCustomer: PackTotal[] }>
  /** Which lots had pieces in which runs. */
  lotsOfRuns: (runIds: readonly number[]) => Promise<{ runId: number; lotId: number; code: string }[]>
}

/** More bundles than this are told without their codes: a list of thousands names none. */
const CODES_FOR = 150

export function threadReader(sequelize: Sequelize, within?: Within): ThreadReader {
  const rows = async <R extends object>(of: readonly number[], sql: (ids: string) => string): Promise<R[]> =>
    of.length === 0 ? [] : await ask<R>(sequelize, sql(of.map(Number).join(', ')), within)
  return {
    meatOf: async lotIds =>
      (
        await rows<{ lotId: number; meatLotId: number; greenG: string }>(
          lotIds,
          ids => `
      SELECT lot_id AS lotId, meat_lot_id AS meatLotId, SUM(green_g) AS greenG FROM pieces WHERE voided = 0
        AND parent_id IS NULL AND lot_id IN (${ids}) GROUP BY lot_id, meat_lot_id`,
        )
      ).map(row => ({ ...row, greenG: Number(row.greenG) })),
    runsOf: lotIds =>
      rows(
        lotIds,
        ids => `
      SELECT DISTINCT p.lot_id AS lotId, p.id AS pieceId, r.run_id AS runId FROM pieces p
        JOIN run_pieces r ON r.piece_id = p.id AND r.voided = 0 WHERE p.voided = 0 AND p.lot_id IN (${ids})`,
      ),
    usesOf: ingredientLotIds =>
      rows(
        ingredientLotIds,
        ids => `
      SELECT u.ingredient_lot_id AS ingredientLotId, l.code, ${epochMs('COALESCE(s.from_at, u.applied_at, l.rubbed_at)')} AS atMs,
        CAST(u.weighed_g AS DOUBLE) AS massG, CAST(COALESCE(u.readability_g, l.mix_readability_g) AS DOUBLE) AS readabilityG,
        u.weighed_typed AS typed, COALESCE(s.by_id, l.rubbed_by_id) AS byId, COALESCE(u.scale_id, l.mix_scale_id) AS scaleId
      FROM lot_ingredients u JOIN lots l ON l.id = u.lot_id LEFT JOIN steps s ON s.id = u.step_id WHERE u.voided = 0
      AND u.ingredient_lot_id IN (${ids}) ORDER BY u.id`,
      ),
    bundlesOf: async (lotIds) => {
      // Read from the index alone, which holds all of this but the codes.
      const found = await rows<{
        lotId: number
        customerId: number | null
        stepId: number | null
        packs: unknown
        massG: unknown
        firstId: number
        lastId: number
      }>(
        lotIds,
        ids => `
        SELECT p.lot_id AS lotId, d.customer_id AS customerId, p.step_id AS stepId, COUNT(*) AS packs,
          SUM(p.net_g) AS massG, MIN(p.id) AS firstId, MAX(p.id) AS lastId
        FROM packs p LEFT JOIN dispatches d ON d.id = p.dispatch_id AND d.voided = 0 WHERE p.voided = 0
        AND p.lot_id IN (${ids}) GROUP BY p.lot_id, d.customer_id, p.step_id`,
      )
      const named
        = found.length > CODES_FOR
          ? []
          : await rows<{ id: number; code: string }>(
              found.flatMap(row => [row.firstId, row.lastId]),
              ids => `SELECT id, code FROM packs WHERE id IN (${ids})`,
            )
      const codes = new Map(named.map(row => [row.id, row.code]))
      return found.map(({ lotId, customerId, stepId, packs, massG, firstId, lastId }) => ({
        lotId,
        customerId,
        stepId,
        packs: Number(packs),
        massG: Number(massG),
        firstCode: codes.get(firstId) ?? null,
        lastCode: codes.get(lastId) ?? null,
      }))
    },
    packTotalsOf: async (lotIds) => {
      // Added up by lot and sending by the index alone, in its order: there are five times fewer of them than packs.
      const found = await rows<{ lotId: number; customerId: number | null; packs: unknown; massG: unknown }>(
        lotIds,
        ids => `
        SELECT s.lot_id AS lotId, d.customer_id AS customerId, s.packs, s.massG FROM (
          SELECT lot_id, dispatch_id, COUNT(*) AS packs, SUM(net_g) AS massG FROM packs WHERE voided = 0
            AND lot_id IN (${ids}) GROUP BY lot_id, dispatch_id) s
        LEFT JOIN dispatches d ON d.id = s.dispatch_id AND d.voided = 0`,
      )
      const by = (of: 'lotId' | 'customerId'): PackTotal[] => {
        const totals = new Map<number | null, PackTotal>()
        for (const row of found) {
          const { packs, massG } = totals.get(row[of]) ?? { packs: 0, massG: 0 }
          totals.set(row[of], { id: row[of], packs: packs + Number(row.packs), massG: massG + Number(row.massG) })
        }
        return [...totals.values()]
      }
      return { byLot: by('lotId'), byCustomer: by('customerId') }
    },
    lotsOfRuns: runIds =>
      rows(
        runIds,
        ids => `
      SELECT STRAIGHT_JOIN DISTINCT r.run_id AS runId, p.lot_id AS lotId, l.code FROM run_pieces r
      JOIN pieces p ON p.id = r.piece_id AND p.voided = 0 JOIN lots l ON l.id = p.lot_id AND l.voided = 0
      WHERE r.voided = 0 AND r.run_id IN (${ids})`,
      ),
  }
}
