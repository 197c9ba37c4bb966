/**
 * Where a piece stands is worked out from its steps and kept here for the pages: no seal covers it, the walk holds it
 * against the steps.
 */
export const PIECE_STATE = ['placeId', 'spot', 'face', 'stage', 'sinceMs', 'outAtMs', 'layer', 'stackTurns', 'goneAtMs', 'goneWhy'] as const
