/** The reasons of a record as it prints them, one after the other; nothing where there is none. */
export const reasonsOf = (...reasons: readonly (string | null)[]): { reason?: string } => {
  const said = reasons.filter(one => one !== null)
  return said.length > 0 ? { reason: said.join('; ') } : {}
}
