import type { Component } from 'vue'
import { ASKS, type AskName } from '#shared/steps/all-told'

const FORMS = import.meta.glob<Component>('./forms/*.vue', { eager: true, import: 'default' })

/** The file of the form that an ask is told with, beside its fellows: of `fry_test` it is FryTestForm.vue. */
export const formFile = (ask: AskName): string =>
  `${(ASKS[ask].form ?? ask).replace(/(?:^|_)([a-z])/g, (_all, letter: string) => letter.toUpperCase())}Form.vue`

/** The form that an ask is told with; none: one tap tells it. */
export const formOf = (ask: AskName): Component | undefined => FORMS[`./forms/${formFile(ask)}`]
