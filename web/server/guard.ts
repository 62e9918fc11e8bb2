const OWN_NAMES = new Set(['localhost', '127.0.0.1', '[::1]']);

const nameOf = (host: string): string => host.replace(/:\d+$/, '').toLowerCase();

/** Why a request for this host is refused: a page elsewhere may have pointed a name of its own at this machine. */
export function hostFault(host: string | null): string | undefined {
  if (host !== null && OWN_NAMES.has(nameOf(host))) return undefined;
  return 'Rigid Beam answers only to localhost and 127.0.0.1. Open it by one of these names.';
}

/** Why a write is refused: it must come from a page of this very server, or from no page at all. */
export function originFault(headers: Headers): string | undefined {
  const origin = headers.get('origin');
  if (origin !== null && origin !== `http://${headers.get('host')}`)
    return 'A page of another origin may not change models here.';
  const site = headers.get('sec-fetch-site');
  if (site !== null && site !== 'same-origin' && site !== 'none') return 'A page of another site may not change models here.';
  return undefined;
}
