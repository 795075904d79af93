import { nextTick, watch, type WatchSource } from 'vue'

/** Gives the focus back to where it was when what lay over the page closes; where that was nowhere, nothing that closed keeps it. */
export function useReturnFocus(isOpen: WatchSource<boolean>): void {
  let before: HTMLElement | null = null
  watch(isOpen, async (open) => {
    if (open) return void (before = document.activeElement as HTMLElement | null)
    await nextTick()
    if (before?.isConnected && before !== document.body) before.focus({ preventScroll: true })
    else (document.activeElement as HTMLElement | null)?.blur()
  })
}
