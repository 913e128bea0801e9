import { type NextRequest, NextResponse } from 'next/server';
import { SCRIPT_NONCE } from './contract/scriptNonce';
import { databaseAnswers } from './server/databaseAnswers';
import { NOT_NOW, NOT_NOW_HEADERS } from './server/notNow';
import { PAGE_PATH, pathWithoutSecret, REQUEST_ID, requestId, requestLog } from './server/requestLog';

/**
 * What a browser may do with a page: scripts are the application's own, each marked by a number that holds for this answer
 * only; styles are also set by its components. The other headers stand in `next.config.ts`. A page is begun only while the
 * database answers: once it is being made, no other status can be said.
 */
export async function proxy(request: NextRequest): Promise<NextResponse> {
  if (!isText(request.nextUrl.pathname)) return new NextResponse('This address is none.', { status: 400 });
  const id = requestId(request.headers.get(REQUEST_ID));
  if (!(await databaseAnswers())) return notNow(request, id);
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
  headers.set(SCRIPT_NONCE, nonce);
  headers.set(REQUEST_ID, id);
  headers.set(PAGE_PATH, request.nextUrl.pathname);
  const answer = NextResponse.next({ request: { headers } });
  answer.headers.set('content-security-policy', policy);
  answer.headers.set(REQUEST_ID, id);
  return answer;
}

/** The page for a database that does not answer, and a line about it. */
function notNow({ nextUrl, method }: NextRequest, id: string): NextResponse {
  requestLog().error({ request: id, method, page: pathWithoutSecret(nextUrl.pathname), status: 503 });
  return new NextResponse(NOT_NOW, { status: 503, headers: { ...NOT_NOW_HEADERS, [REQUEST_ID]: id } });
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
