/** For tests, whose page has no layout: the room of the element that is watched last is told by hand. */
export const room = { isWatched: false, tell: (_width: number, _height: number): void => undefined }

globalThis.ResizeObserver = class {
  constructor(told: (entries: never[]) => void) {
    room.tell = (width, height) => told([{ contentRect: { width, height } } as never])
  }
  observe = () => (room.isWatched = true)
  unobserve = () => undefined
  disconnect = () => (room.isWatched = false)
} as never
