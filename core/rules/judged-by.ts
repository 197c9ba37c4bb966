/**
 * The version of the product whose rules lots are judged by. Raised whenever the same lot may be judged otherwise than
 * by the version before: lots that are not finished are then judged afresh, once, on record.
 */
export const JUDGED_BY = '0.6'
