/** The sum of one figure over rows; 0 of none. */
export const sumOf = <R>(rows: readonly R[], figure: (row: R) => number): number =>
  rows.reduce((sum, row) => sum + figure(row), 0)
