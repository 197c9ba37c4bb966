import type { HoldView } from '#shared/contracts/holds'
import type { RowOf } from '../../db/table-spec'
import type { holds } from '../../db/tables/lots'

/** Holds as their lot or their meat shows them. */
export const holdViews = (
  rows: readonly RowOf<typeof holds>[],
  users: readonly { id: number; name: string }[],
): HoldView[] =>
  rows.map(hold => ({
    id: hold.id,
    reason: hold.reason,
    note: hold.note,
    placedAtMs: hold.placedAtMs,
    disposition: hold.disposition,
    text: hold.dispositionText,
    by: users.find(user => user.id === hold.disposedById)?.name ?? null,
    disposedAtMs: hold.disposedAtMs,
  }))
