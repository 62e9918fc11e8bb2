import { NextResponse, type NextRequest } from 'next/server';
import { dataDirectory } from '@rigid-beam/machine/data-directory';
import { accessFault } from './server/access';
import { hostFault, originFault } from './server/guard';
import { notAllowed, refusedCaller, unknownCaller } from './server/respond';

/** Every request: only this machine's own names are answered, writes only from our own pages, and pages get a strict policy. */
export function proxy(request: NextRequest): Response {
  const refused =
    hostFault(request.headers.get('host')) ??
    (['GET', 'HEAD'].includes(request.method) ? undefined : originFault(request.headers));
  if (refused) return refusedCaller(refused);
  const { pathname } = request.nextUrl;
  const unknown = pathname.startsWith('/api/') ? accessFault(pathname, request.headers, dataDirectory()) : undefined;
  if (unknown) return unknownCaller(unknown);

  // A page is only read. What else is asked of it has an answer in words too.
  if (!pathname.startsWith('/api/') && !['GET', 'HEAD'].includes(request.method)) return notAllowed();

  const nonce = Buffer.from(crypto.getRandomValues(new Uint8Array(16))).toString('base64');
  const development = process.env.NODE_ENV === 'development';
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${development ? " 'unsafe-eval'" : ''}`,
    `style-src 'self' 'nonce-${nonce}'`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    `connect-src 'self'${development ? ' ws:' : ''}`,
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('Content-Security-Policy', policy);
  response.headers.set('X-Content-Type-Options', 'nosniff');
  response.headers.set('Referrer-Policy', 'no-referrer');
  response.headers.set('Cross-Origin-Opener-Policy', 'same-origin');
  return response;
}

export const config = { matcher: ['/((?!_next/static/|_next/image$|favicon.ico$|icon.svg$).*)'] };
