import { defineEventHandler } from 'h3'
import { replyRefusal } from '../http/reply'
import { notFound } from '../services/context'

/** No page stands in for an address that is none. */
export default defineEventHandler(event => replyRefusal(event, notFound('no_such_address')))
