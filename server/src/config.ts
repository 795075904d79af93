export interface ServerConfig {
  host: '127.0.0.1'
  port: number
}

/** Reads and freezes the configuration. @throws Error naming the variable that is wrong */
export function readConfig(env: Record<string, string | undefined>): Readonly<ServerConfig> {
  const text = env.SICKLE_PORT ?? '4173'
  const port = Number(text)
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new Error(`SICKLE_PORT must be a port from 0 to 65535; it is '${text}'`)
  return Object.freeze({ host: '127.0.0.1', port })
}
