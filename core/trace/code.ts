/** First letter of a code says what it names. */
export const CODE_PREFIX = {
  delivery: 'D',
  meat: 'M',
  ingredient: 'N',
  lot: 'L',
  run: 'S',
  pack: 'P',
  recipe: 'R',
  card: 'B',
  place: 'F',
} as const
export type CodedKind = keyof typeof CODE_PREFIX

/** "L-0042": short enough to say aloud, four digits and more as needed. `number` a whole number from 1. */
export const makeCode = (kind: CodedKind, number: number): string =>
  `${CODE_PREFIX[kind]}-${String(number).padStart(4, '0')}`

/** A code as typed or scanned, made plain: "l 42", "L42", "l-0042" are all L-0042; null when it is no code. */
export function readCode(raw: string): { kind: CodedKind; code: string } | null {
  const match = /^([a-z])[\s-]*0*(\d{1,9})$/i.exec(raw.trim())
  const kind = (Object.keys(CODE_PREFIX) as CodedKind[]).find(key => CODE_PREFIX[key] === match?.[1]?.toUpperCase())
  if (!match || !kind || Number(match[2]) < 1) return null
  return { kind, code: makeCode(kind, Number(match[2])) }
}
