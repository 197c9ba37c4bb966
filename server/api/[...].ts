import { defineEventHandler } from 'h3'
import { replyRefusal } from '../http/reply'
import { refuse } from '../services/context'

/** The answer to an address that is none: no page stands in for it. */
export default defineEventHandler(event => replyRefusal(event, refuse('no_such_address')))
