import { getRouterParam, type H3Event } from 'h3'

/** The number in a route's path; 0, which nothing has, when it is none. */
export function routeId(event: H3Event): number {
  const id = Number(getRouterParam(event, 'id'))
  return Number.isSafeInteger(id) && id > 0 ? id : 0
}
