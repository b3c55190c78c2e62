import { type NextRequest, NextResponse } from 'next/server';

/** Style attribute of the hidden span that Headless UI renders on the server. */
const HIDDEN_SPAN_STYLE = "'sha256-CFWxk59hmWWhsVWNXy+t1albqTRppvlCMXFTDkd+1YA='";

/** What a page may load: our own files, scripts with this answer's nonce, nothing from elsewhere. */
function contentSecurityPolicy(nonce: string): string {
  const development = process.env.NODE_ENV === 'development';
  return [
    "default-src 'none'",
    `script-src 'nonce-${nonce}' 'strict-dynamic'${development ? " 'unsafe-eval'" : ''}`,
    development ? "style-src 'self' 'unsafe-inline'" : `style-src 'self' 'nonce-${nonce}'`,
    development ? '' : `style-src-attr 'unsafe-hashes' ${HIDDEN_SPAN_STYLE}`,
    "img-src 'self' data: blob:",
    "font-src 'self'",
    `connect-src 'self'${development ? ' ws:' : ''}`,
    "worker-src 'self'",
    "manifest-src 'self'",
    "form-action 'self'",
    "base-uri 'none'",
    "frame-ancestors 'none'",
    "object-src 'none'",
  ]
    .filter(Boolean)
    .join('; ');
}

export function proxy(request: NextRequest) {
  const nonce = Buffer.from(crypto.randomUUID()).toString('base64');
  const policy = contentSecurityPolicy(nonce);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'no-referrer');
  return response;
}

/** Pages alone: what routes answer is not shown as a page, and their bodies need not be held here first. */
export const config = { matcher: [{ source: '/((?!api/|_next/static|_next/image|favicon|icon).*)' }] };
