/** What a body held: JSON, nothing that is JSON, or more than may be sent. */
export type Body =
  | { readonly kind: 'json'; readonly json: unknown }
  | { readonly kind: 'broken'; readonly why: string }
  | { readonly kind: 'tooLarge' };

/** A body that has not come by then is given up. */
const LONGEST_MS = 20_000;

/**
 * Reads a body as JSON and stops as soon as it is larger than `most` bytes, whatever its header says, or takes longer than
 * 20 s to come.
 */
export async function readJson(request: Request, most: number): Promise<Body> {
  if (Number(request.headers.get('content-length') ?? 0) > most) return { kind: 'tooLarge' };
  const reader = request.body?.getReader();
  if (!reader) return BROKEN;
  let late = false;
  const timer = setTimeout(() => {
    late = true;
    void reader.cancel();
  }, LONGEST_MS);
  const chunks: Uint8Array[] = [];
  let size = 0;
  try {
    for (;;) {
      const { done, value } = await reader.read();
      if (done) break;
      size += value.byteLength;
      if (size > most) {
        await reader.cancel();
        return { kind: 'tooLarge' };
      }
      chunks.push(value);
    }
  } finally {
    clearTimeout(timer);
  }
  if (late) return TOO_SLOW;
  try {
    const json: unknown = JSON.parse(Buffer.concat(chunks).toString('utf8'));
    return isStorable(json) ? { kind: 'json', json } : NO_TEXT;
  } catch {
    return BROKEN;
  }
}

const BROKEN: Body = { kind: 'broken', why: 'The body is not JSON.' };
const TOO_SLOW: Body = { kind: 'broken', why: 'The body did not come within 20 s.' };
const NO_TEXT: Body = { kind: 'broken', why: 'The body holds characters that are no text.' };

/** Whether all text can be kept: the database takes neither the character 0 nor half a character. */
function isStorable(json: unknown): boolean {
  if (typeof json === 'string') return !json.includes('\0') && isWhole(json);
  if (typeof json !== 'object' || json === null) return true;
  return Object.entries(json).every(([key, value]) => isStorable(key) && isStorable(value));
}

const isWhole = (text: string): boolean => !/[\uD800-\uDFFF]/u.test(text);
