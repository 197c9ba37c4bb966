/**
 * From when on a place with meat in it is to be read. Null until the first start. May be run again. Frozen: change it by
 * a later migration.
 */
export const name = '2026-12-12-places-from'

export const up: readonly string[] = ['ALTER TABLE shops ADD COLUMN IF NOT EXISTS places_from DATETIME(3) NULL']
