import { type NextRequest, NextResponse } from 'next/server';

/**
 * What a browser may do with a page: scripts are the application's own, each marked by a number that holds for this answer
 * only; styles are also set by its components. The other headers stand in `next.config.ts`.
 */
export function proxy(request: NextRequest): NextResponse {
  if (!isText(request.nextUrl.pathname)) return new NextResponse('This address is none.', { status: 400 });
  const nonce = btoa(crypto.randomUUID());
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
  // The framework takes the number for its scripts from here.
  const headers = new Headers(request.headers);
  headers.set('content-security-policy', policy);
  const answer = NextResponse.next({ request: { headers } });
  answer.headers.set('content-security-policy', policy);
  return answer;
}

/** Whether a path is text once it is decoded. */
function isText(path: string): boolean {
  try {
    return !decodeURIComponent(path).includes('\0');
  } catch {
    return false;
  }
}

/** Requests with a body go past it, for it would keep a copy of each; no path of theirs has anything to decode. */
export const config = { matcher: ['/((?!_next/|api/).*)', '/(api/.*%.*)'] };
