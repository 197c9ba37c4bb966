import { defineEventHandler } from 'h3'
import { replyRefusal } from '../http/reply'
import { refuse } from '../services/context'

/** No page stands in for an address that is none. */
export default defineEventHandler(event => replyRefusal(event, refuse('no_such_address')))
