import { isKnown } from '@rigid-beam/machine/access-keys';

/** What tells nobody anything: whether the server is there, and how it is asked. */
const OPEN = new Set(['/api/ready', '/api/openapi.json']);

/**
 * Why a request to the interface is refused: it comes from a page of this server, which browsers say and no other page can, or it brings a token, or
 * the command's own key. What a user types into the address line is their own.
 */
export function accessFault(path: string, headers: Headers, directory: string): string | undefined {
  if (OPEN.has(path)) return undefined;
  const [, secret] = /^Bearer +(\S+)$/i.exec(headers.get('authorization') ?? '') ?? [];
  if (secret !== undefined)
    return isKnown(directory, secret)
      ? undefined
      : 'This token is not known here. It was revoked, or belongs to another user or other data';
  if (['same-origin', 'none'].includes(headers.get('sec-fetch-site') ?? '')) return undefined;
  return 'Programs bring a token: make one with “rigid-beam token make NAME”, and send it as “Authorization: Bearer …”';
}
