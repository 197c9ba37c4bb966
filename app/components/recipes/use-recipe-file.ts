import { ref } from 'vue'
import { faultsOf } from '#shared/faults/issues'
import { recipeFile, RECIPE_FORMAT, RECIPE_VERSION, type Recipe } from '#shared/contracts/recipes'
import { wordsFor, wordsOf } from '#shared/messages/refusals/catalogue'
import { useNotation } from '~/composables/use-notation'
import { useSave } from '~/composables/use-save'

const fileOf = (recipes: readonly Recipe[]) => ({ format: RECIPE_FORMAT, version: RECIPE_VERSION, recipes })

/** Hands recipes to the person as a file. */
export function toFile(recipes: readonly Recipe[], name: string): void {
  const text = `${JSON.stringify(fileOf(recipes), null, 2)}\n`
  const url = URL.createObjectURL(new Blob([text], { type: 'application/json' }))
  Object.assign(document.createElement('a'), { href: url, download: name }).click()
  URL.revokeObjectURL(url)
}

/** Takes recipes in, from a file or from a list; `taken` gets the codes that they have in the book. */
export function useRecipeFile(taken: (codes: string[]) => Promise<unknown>) {
  const { as } = useNotation()
  const { save, message } = useSave<{ codes: string[] }>()
  const fault = ref('')

  async function take(file: unknown): Promise<void> {
    const checked = recipeFile.safeParse(file)
    const wrong = checked.success ? null : faultsOf(checked.error)[0]!
    fault.value = wrong ? `${wrong.path.join('.') || 'The file'}: ${wordsFor(wrong.code, wrong.params, as.value)}` : ''
    if (wrong) return
    const done = await save('/api/recipes/import', file)
    if (done) await taken(done.codes)
  }
  async function fromFile(event: Event): Promise<void> {
    const input = event.target as HTMLInputElement
    const [file] = input.files ?? []
    if (!file) return
    try {
      await take(JSON.parse(await file.text()))
    }
    catch (error) {
      if (!(error instanceof SyntaxError)) throw error
      fault.value = wordsOf('not_a_recipe_file', {}, as.value)
    }
    input.value = ''
  }
  return { fault, message, fromFile, takeList: (recipes: readonly Recipe[]) => take(fileOf(recipes)) }
}
