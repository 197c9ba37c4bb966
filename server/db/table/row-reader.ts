import { snake, type Columns, type RowOf, type TableSpec } from '../schema/table-spec'

/** A table's columns: their names in the code and in the database, and how each is read. */
export const columnsOf = (spec: { columns: Columns }) =>
  Object.entries(spec.columns).map(([key, column]) => ({ key, field: snake(key), column }))

/** Reads a row as the driver brings it; `before` stands before each column's name where rows of several tables come as one. */
export function rowReader<C extends Columns>(
  spec: Pick<TableSpec<C>, 'columns'>,
  before = '',
): (raw: Record<string, unknown>) => RowOf<TableSpec<C>> {
  const columns = columnsOf(spec).map(({ key, field, column }) => ({ key, named: before + field, column }))
  return (raw) => {
    const row: Record<string, unknown> = { id: Number(raw[`${before}id`]) }
    for (const { key, named, column } of columns) row[key] = column.read(raw[named])
    return row as RowOf<TableSpec<C>>
  }
}
