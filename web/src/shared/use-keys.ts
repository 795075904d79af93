import { onBeforeUnmount, onMounted, reactive } from 'vue'

export interface KeyBinding {
  /** as the keyboard names it; 'ctrl+k' with a modifier */
  key: string
  label: string
  run: (event: KeyboardEvent) => void
  /** also while a field has the focus */
  always?: boolean
}

/** Keys that hold now, newest screen last; the help overlay shows them. */
export const activeKeys = reactive<{ id: symbol; group: string; bindings: KeyBinding[] }[]>([])

type Part = HTMLElement | null | undefined

/**
 * Binds keys while the component is mounted. In a field only those marked `always` work. A single letter acts only where the seller's
 * eyes are: while the focus is in one of the parts that it belongs to, and once however long it is held.
 *
 * @param parts the list or look whose letters these are; left out, they are the whole stage's, and work as well where nothing has the focus
 */
export function useKeys(group: string, bindings: KeyBinding[], parts?: () => Part[]): void {
  const id = Symbol(group)
  const listen = (event: KeyboardEvent) => {
    if (event.defaultPrevented) return
    const found = bindings.find((b) => matches(b.key, event))
    if (!found || (!found.always && isField(event.target))) return
    if (/^[a-z]$/.test(found.key) && (event.repeat || !isLookedAt(event.target, parts?.()))) return
    event.preventDefault()
    found.run(event)
  }
  onMounted(() => {
    activeKeys.push({ id, group, bindings })
    window.addEventListener('keydown', listen)
  })
  onBeforeUnmount(() => {
    const at = activeKeys.findIndex((k) => k.id === id)
    if (at >= 0) activeKeys.splice(at, 1)
    window.removeEventListener('keydown', listen)
  })
}

function matches(key: string, event: KeyboardEvent): boolean {
  const parts = key.toLowerCase().split('+')
  const [ctrl, shift] = [parts.includes('ctrl'), parts.includes('shift')]
  if (ctrl !== (event.ctrlKey || event.metaKey) || event.altKey || (shift && !event.shiftKey)) return false
  return parts.at(-1) === event.key.toLowerCase()
}

/** What lies over the stage has the seller's eyes, whatever has the focus. */
const isCovered = () => isShown('.n-popover:not(.n-tooltip)')

/** What is on its way out is no longer meant. */
const isShown = (what: string) =>
  [...document.querySelectorAll(what)].some(
    (o) => o.getClientRects().length > 0 && !o.matches('[class*="leave-active"]'),
  )

function isLookedAt(target: EventTarget | null, parts: Part[] | undefined): boolean {
  const element = target as HTMLElement | null
  if (parts) return parts.some((part) => part?.contains(element))
  const isStage = element === document.body || Boolean(document.getElementById('stage')?.contains(element))
  return isStage && !isCovered()
}

/** A field takes the keys, and so does a dialog or drawer: what lies under it is not meant. */
function isField(target: EventTarget | null): boolean {
  if (isShown('.n-modal-body-wrapper .n-modal, .n-drawer')) return true
  const element = target as HTMLElement | null
  if (!element?.matches) return false
  return element.isContentEditable || element.matches('input, textarea, select, [role="combobox"]')
}
