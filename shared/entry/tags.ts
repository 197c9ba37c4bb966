import { z } from 'zod'
import { name } from './fields'

export const LONGEST_TAG = 40

/** What is tied to a piece: a number, a coloured string. Null: nothing any more. */
export const tag = () => name(LONGEST_TAG)
export const tagInput = z.strictObject({ tag: tag().nullable() })
export type TagInput = z.output<typeof tagInput>
