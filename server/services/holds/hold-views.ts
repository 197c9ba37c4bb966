import type { HoldView } from '#shared/contracts/holds'
import type { RowOf } from '../../db/schema/table-spec'
import type { holds } from '../../db/tables/lots'

/** Holds as their lot or their meat shows them. */
export const holdViews = (
  rows: readonly RowOf<typeof holds>[],
  users: readonly { id: number; name: string }[],
  places: readonly { code: string | null; name: string }[] = [],
): HoldView[] =>
  rows.map(hold => ({
    id: hold.id,
    reason: hold.reason,
    note: hold.note,
    pieceIds: hold.pieceIds,
    place: places.find(place => place.code === hold.facts)?.name ?? null,
    fromMs: hold.fromAtMs,
    toMs: hold.toAtMs,
    worstC: hold.worst,
    byRules: hold.byRules,
    changedBy: hold.changedEventId,
    placedAtMs: hold.placedAtMs,
    disposition: hold.disposition,
    text: hold.dispositionText,
    by: users.find(user => user.id === hold.disposedById)?.name ?? null,
    disposedAtMs: hold.disposedAtMs,
  }))
