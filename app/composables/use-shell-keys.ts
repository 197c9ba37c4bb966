import { onBeforeUnmount, onMounted, ref } from 'vue'
import { navigateTo } from '#imports'
import { ROOMS } from '~/logic/rooms'
import { useNotice } from '~/composables/use-notice'

const SECOND_KEY_MS = 1500

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement
  && (target.isContentEditable
    || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName)
    || target.getAttribute('role') === 'combobox')

/** Up and down in a table: to the first link or button of the next row. True when it moved. */
function walkTable(key: string): boolean {
  const row = document.activeElement?.closest('table.ruled tbody tr')
  const next = key === 'ArrowDown' ? row?.nextElementSibling : key === 'ArrowUp' ? row?.previousElementSibling : null
  const target = next?.querySelector<HTMLElement>('a, button')
  target?.focus()
  return target !== null && target !== undefined
}

/** The record button of the lot that has the focus; else one that belongs to no lot. */
function recordButton(): HTMLElement | null {
  const lot = document.activeElement?.closest('[data-lot]')
  return (lot ?? document).querySelector<HTMLElement>(lot ? '[data-key="r"]' : '[data-key="r"]:not([data-lot] *)')
}

/** The keys that work in every room. */
export function useShellKeys() {
  const showKeys = ref(false)
  const { undoLast } = useNotice()
  let goUntilMs = 0

  async function onKey(event: KeyboardEvent): Promise<void> {
    if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return
    if (performance.now() < goUntilMs) {
      goUntilMs = 0
      const room = ROOMS.find(r => r.key === event.key)
      if (room) {
        event.preventDefault()
        await navigateTo(room.to)
      }
      return
    }
    if (event.key === 'g') goUntilMs = performance.now() + SECOND_KEY_MS
    else if (event.key === '?') showKeys.value = true
    else if (event.key === 'u') await undoLast()
    else if (event.key === 'n') document.querySelector<HTMLElement>('[data-key="n"]')?.click()
    else if (event.key === 'r') recordButton()?.click()
    else if (walkTable(event.key)) event.preventDefault()
    else if (event.key === '/') {
      event.preventDefault()
      document.querySelector<HTMLInputElement>('#find-code')?.focus()
    }
  }
  onMounted(() => window.addEventListener('keydown', onKey))
  onBeforeUnmount(() => window.removeEventListener('keydown', onKey))
  return { showKeys }
}
