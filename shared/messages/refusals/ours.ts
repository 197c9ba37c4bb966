/** Our side cannot do it now; what was typed is kept where it was typed. */
export const OURS = {
  export_busy: () => 'Two exports or walks are under way already. Try again when one has ended.',
  disk_low: () =>
    'The shop\'s disk has less than 1 GB left: no photos are taken now, so that records still find room. Make room on it.',
  database_lost: () => 'The records cannot be reached just now. What you typed is still here; try again in a moment.',
  disk_full: () =>
    'The shop\'s computer has no room left on its disk. What you typed is still here; make room, then press again.',
  our_fault: () => 'Something went wrong on our side. What you typed is still here; try again, then tell the owner.',
  offline: () =>
    'The shop\'s computer cannot be reached. What you typed is kept here; press again when the connection is back.',
}
