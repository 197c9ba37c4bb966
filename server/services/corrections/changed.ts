/** What a correction changed: the codes it concerns, and the value before and after, as typed. */
export interface Changed {
  subjects: string[]
  from: string
  to: string
  about: string
}
