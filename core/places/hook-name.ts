/** How the hook that a piece hangs on is written as its spot in a place: "hook 7". */
export const hookName = (hook: number): string => `hook ${hook}`
