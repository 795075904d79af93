/** Who may write: of several tabs on one workspace one does, the others follow. */
export type Role = 'writer' | 'follower'

/** What a tab tells the others: a document or the data were changed and are at rest. */
export type News = { about: 'document'; name: string } | { about: 'data' } | { about: 'everything' }

/** What a turn needs of the browser; both exist in tabs of secure pages and are left out in tests. */
export interface LockTools {
  locks?: LockManager | undefined
  channel?: Pick<BroadcastChannel, 'postMessage' | 'addEventListener'> | undefined
}

const lockName = 'sickle-workspace'

/**
 * The right to write, held by at most one tab by way of the browser's own locks. A tab that closes or crashes gives it up by
 * itself and the one that waited longest takes it on. A tab can also take it over: the other then becomes a follower.
 */
export class WriteLock {
  role: Role = 'follower'
  readonly #tools: LockTools
  readonly #onRole: (role: Role) => void

  constructor(tools: LockTools, onRole: (role: Role) => void, onNews: (news: News) => void) {
    this.#tools = tools
    this.#onRole = onRole
    tools.channel?.addEventListener('message', (event) => onNews(event.data as News))
  }

  /** Takes the right if it is free, else waits for it in the background; resolves when it is known which. */
  async begin(): Promise<Role> {
    const { locks } = this.#tools
    if (!locks) return this.#become('writer')
    const free = await this.#request({ ifAvailable: true })
    if (!free) this.#wait()
    return this.role
  }

  /** Takes the right from the tab that has it. */
  async takeOver(): Promise<void> {
    if (this.role !== 'writer') await this.#request({ steal: true })
  }

  /** Tells the other tabs what has changed. */
  tell(news: News): void {
    this.#tools.channel?.postMessage(news)
  }

  #wait(): void {
    void this.#request({})
  }

  /** Resolves true once the right is held, false where it was not free. It is held until another tab takes it over. */
  #request(options: LockOptions): Promise<boolean> {
    return new Promise((resolve) => {
      const held = this.#tools.locks?.request(lockName, options, (lock) => {
        if (!lock) return resolve(false)
        this.#become('writer')
        resolve(true)
        return new Promise<never>(() => {})
      })
      // Only a take-over ends a lock that is held: from then on this tab follows and waits for its turn.
      held?.catch(() => {
        this.#become('follower')
        this.#wait()
      })
    })
  }

  #become(role: Role): Role {
    if (this.role !== role) {
      this.role = role
      this.#onRole(role)
    }
    return role
  }
}
