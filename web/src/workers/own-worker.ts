interface TrustedTypes {
  createPolicy(
    name: string,
    rules: { createScriptURL: (address: string) => string },
  ): {
    createScriptURL(address: string): string
  }
}

/** A worker of Sickle's own. Its address is the only text that becomes script, and only where it is of this very site. */
export function ownWorker(address: string): Worker {
  return new Worker(trusted(address), { type: 'module' })
}

let policy: ReturnType<TrustedTypes['createPolicy']> | undefined

function trusted(address: string): string {
  const { trustedTypes } = globalThis as { trustedTypes?: TrustedTypes }
  if (!trustedTypes) return ownAddress(address)
  policy ??= trustedTypes.createPolicy('sickle', { createScriptURL: ownAddress })
  return policy.createScriptURL(address)
}

/** @throws Error where the address is of another site */
export function ownAddress(address: string): string {
  const { origin, href } = new URL(address, globalThis.location.href)
  if (origin !== globalThis.location.origin) throw new Error('a worker of another site is never started')
  return href
}
