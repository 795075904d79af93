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

/** Binds keys while the component is mounted. In a field only those marked `always` work. */
export function useKeys(group: string, bindings: KeyBinding[]): void {
  const id = Symbol(group)
  const listen = (event: KeyboardEvent) => {
    if (event.defaultPrevented) return
    const found = bindings.find((b) => matches(b.key, event))
    if (!found || (!found.always && isField(event.target))) return
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

function isField(target: EventTarget | null): boolean {
  const element = target as HTMLElement | null
  if (!element?.tagName) return false
  if (document.querySelector('.n-modal-body-wrapper .n-modal')) return true
  return ['INPUT', 'TEXTAREA', 'SELECT'].includes(element.tagName) || element.isContentEditable
}
