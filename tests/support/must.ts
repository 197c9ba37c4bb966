import { expect } from 'vitest'

/** The body of an answer that has to be 200; anything else is told. */
export async function must(reply: Promise<{ status: number; body: any }>): Promise<any> {
  const { status, body } = await reply
  expect(status, JSON.stringify(body)).toBe(200)
  return body
}
