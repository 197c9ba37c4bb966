/** The last of rows of which there is at least one; throws on none. */
export function lastOf<Row>(rows: readonly Row[]): Row {
  if (rows.length === 0) throw new Error('There is no last of none.')
  return rows.at(-1) as Row
}
