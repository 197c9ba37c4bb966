import type { Finding, FindingKind } from '#core/book/findings'

/** What a walk found, in words that follow "Record 7 " or the row's name. */
const WORDS: Record<FindingKind, string> = {
  changed: 'does not fit its seal: it was changed after it was made, or slipped in',
  missing: 'is missing: records were taken out',
  end_differs: 'is where the book and its last seal part: records were cut off the end, or the rest was written anew',
  subjects_differ: 'is not found under the codes that it names',
  out_of_book: 'lies outside the book: no press of a button made it',
  subject_without_record: 'is in the index and not in the book',
  row_differs: 'is not what its last record sealed',
  row_gone: 'is no longer there',
  row_without_record: 'was written by no record',
  file_differs: 'is not the file that was kept: its bytes were changed',
  state_differs: 'does not stand where its steps bring it',
  told_differs: 'names another record than the one that told of it',
  seal_differs: 'does not have the seal that was noted: the book was written anew, or this is another one',
}

/** One finding in a sentence: the record, or the row and the record that it last stood in. */
export function findingWords({ id, why, toId, table, row }: Finding): string {
  if (table !== undefined) return `Row ${row} of ${table} ${WORDS[why]}${id === null ? '' : ` (record ${id})`}.`
  return toId !== undefined && toId > id!
    ? `Records ${id} to ${toId} are missing: they were taken out.`
    : `Record ${id} ${WORDS[why]}.`
}
