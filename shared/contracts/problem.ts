/** RFC 9457 problem details, with the fields at fault. */
export interface FieldError {
  path: (string | number)[]
  code: string
  params?: Record<string, string | number>
  detail: string
}
export interface Problem {
  type: string
  title: string
  status: number
  detail: string
  code: string
  errors?: FieldError[]
}
