/** The stand-in's own host of pictures: a name that cannot exist (RFC 2606), answered without any network. */
export const standinHost = 'pictures.farholt.example'

/**
 * Hosts that pictures may be fetched from: SICKLE_PICTURES, names with commas between them, each perhaps with its port; 'standin' is the
 * stand-in's. None where it is not set: pictures from elsewhere are off.
 *
 * @throws Error naming what is no host
 */
export function readPictureHosts(env: Record<string, string | undefined>): readonly string[] {
  const said = (env.SICKLE_PICTURES ?? '').split(',').map((host) => host.trim().toLowerCase())
  return Object.freeze(
    said.flatMap((host) => {
      if (host === '') return []
      if (host === 'standin') return [standinHost]
      if (!/^(?=.{1,253}(?::|$))[a-z0-9-]+(?:\.[a-z0-9-]+)+(?::\d{1,5})?$/.test(host) || /^[\d.]+(?::|$)/.test(host))
        throw new Error(`SICKLE_PICTURES: '${host}' is no name of a host, such as pictures.example.org`)
      return [host]
    }),
  )
}
