import type { Sequelize } from 'sequelize'

/** One step of the schema. `up` runs first, in order; `after` is for what SQL alone cannot do. */
export interface Migration {
  name: string
  up: readonly string[]
  after?: (sequelize: Sequelize) => Promise<void>
}

const ID = 'id INT NOT NULL AUTO_INCREMENT PRIMARY KEY'
export const GRAMS = 'DECIMAL(13,4)'
export const CELSIUS = 'DECIMAL(7,3)'
export const SHARE = 'DECIMAL(10,8)'
export const AT = 'DATETIME(3) NOT NULL'
export const ref = (column: string, table: string, nullable = false) =>
  `${column} INT ${nullable ? 'NULL' : 'NOT NULL'}, FOREIGN KEY (${column}) REFERENCES ${table} (id)`
export const table = (tableName: string, ...lines: string[]) =>
  `CREATE TABLE ${tableName} (${[ID, ...lines].join(', ')}) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`
