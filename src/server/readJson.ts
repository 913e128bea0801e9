import { isStorable } from './isStorable';
import { readBytes } from './readBytes';

/** What a body held: JSON, nothing that is JSON, or more than may be sent. */
export type Body =
  | { readonly kind: 'json'; readonly json: unknown }
  | { readonly kind: 'broken'; readonly why: string }
  | { readonly kind: 'tooLarge' };

/** Reads a body as JSON, see `readBytes`. */
export async function readJson(request: Request, most: number): Promise<Body> {
  const body = await readBytes(request, most);
  if (body.kind === 'tooLarge') return { kind: 'tooLarge' };
  if (body.kind !== 'bytes') return body.kind === 'tooSlow' ? TOO_SLOW : BROKEN;
  try {
    const json: unknown = JSON.parse(body.bytes.toString('utf8'));
    return isStorable(json) ? { kind: 'json', json } : NO_TEXT;
  } catch {
    return BROKEN;
  }
}

const BROKEN: Body = { kind: 'broken', why: 'The body is not JSON.' };
const TOO_SLOW: Body = { kind: 'broken', why: 'The body did not come within 20 s.' };
const NO_TEXT: Body = { kind: 'broken', why: 'The body holds characters that are no text.' };
