const MOST_KEPT = 2000
const LONGEST_KEPT = 300

const kept = new Map<string, unknown>()

function frozen<T>(value: T): T {
  if (typeof value !== 'object' || value === null) return value
  for (const part of Object.values(value)) frozen(part)
  return Object.freeze(value)
}

/**
 * What a JSON text says. Hundreds of rows of a page say the same, "turned", "pieces 1 to 6": a short text is read once,
 * and what it says is nobody's to change. Throws on what is no JSON.
 */
export function readJson(text: string): unknown {
  if (text.length > LONGEST_KEPT) return JSON.parse(text)
  const known = kept.get(text)
  if (known !== undefined) return known
  const value = frozen<unknown>(JSON.parse(text))
  if (kept.size >= MOST_KEPT) kept.clear()
  kept.set(text, value)
  return value
}
