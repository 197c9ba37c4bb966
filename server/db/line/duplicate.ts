/** The unique column that a write ran into, or null. */
export function duplicateOf(error: unknown): string | null {
  const { name, fields } = error as { name?: string; fields?: object }
  return name === 'SequelizeUniqueConstraintError' ? (Object.keys(fields ?? {})[0] ?? '') : null
}
