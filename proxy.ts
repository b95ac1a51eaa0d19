/**
 * Before every page: only under a name of ours (a name that somebody else points at this machine is a rebinding
 * attack), with a nonce a page for the content security policy. Next puts the nonce on its own scripts.
 */
import { NextResponse, type NextRequest } from 'next/server';
import { HOSTS, isOurHost } from './app/lib/origin';

export function proxy(request: NextRequest): NextResponse {
  if (!isOurHost(request.headers.get('host'), HOSTS))
    return new NextResponse(
      'This server is not known under that name; the operator can allow it with VOBRIK_HOSTS.\n',
      { status: 421, headers: { 'Cache-Control': 'no-store' } },
    );
  const nonce = Buffer.from(crypto.randomUUID()).toString('base64');
  const policy = [
    "default-src 'self'",
    // React's development build evaluates text; what is served to members does not.
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${process.env.NODE_ENV === 'development' ? " 'unsafe-eval'" : ''}`,
    // Emotion writes style elements as components mount.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('Content-Security-Policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('Content-Security-Policy', policy);
  return response;
}

// Handlers answer data, not pages, and check the host themselves; this step would hold their bodies in memory and cut them.
export const config = {
  matcher: [
    {
      source: '/((?!_next/static|_next/image|favicon.ico|api/).*)',
      missing: [{ type: 'header', key: 'next-router-prefetch' }],
    },
  ],
};
