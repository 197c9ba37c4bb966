/**
 * Rows by their id, found or said to be missing: `byId(users, 'user')(7)` is user 7, or throws "No user 7.".
 * For ids that point at rows which must be there; what may be missing is looked up in a `Map`.
 */
export function byId<Row extends { id: number }>(rows: readonly Row[], what: string): (id: number) => Row {
  const rowOf = new Map(rows.map(row => [row.id, row]))
  return (id) => {
    const row = rowOf.get(id)
    if (!row) throw new Error(`No ${what} ${id}.`)
    return row
  }
}
