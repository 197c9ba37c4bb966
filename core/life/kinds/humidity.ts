import { stepKind } from './kind'

/** The air where it hangs was set to so many percent. */
export const humidity = stepKind({
  figures: {} as { percent: number },
  stages: ['hang'],
  traits: ['pressed', 'asked'],
})
