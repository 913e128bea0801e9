/** What a body held: JSON, nothing that is JSON, or more than may be sent. */
export type Body =
  | { readonly kind: 'json'; readonly json: unknown }
  | { readonly kind: 'broken'; readonly why: string }
  | { readonly kind: 'tooLarge' };

/** Reads a body as JSON and stops as soon as it is larger than `most` bytes, whatever its header says. */
export async function readJson(request: Request, most: number): Promise<Body> {
  if (Number(request.headers.get('content-length') ?? 0) > most) return { kind: 'tooLarge' };
  const reader = request.body?.getReader();
  if (!reader) return BROKEN;
  const chunks: Uint8Array[] = [];
  let size = 0;
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
  try {
    const json: unknown = JSON.parse(Buffer.concat(chunks).toString('utf8'));
    return isStorable(json) ? { kind: 'json', json } : NO_TEXT;
  } catch {
    return BROKEN;
  }
}

const BROKEN: Body = { kind: 'broken', why: 'The body is not JSON.' };
const NO_TEXT: Body = { kind: 'broken', why: 'The body holds characters that are no text.' };

/** Whether all text can be kept: the database takes neither the character 0 nor half a character. */
function isStorable(json: unknown): boolean {
  if (typeof json === 'string') return !json.includes('\0') && isWhole(json);
  if (typeof json !== 'object' || json === null) return true;
  return Object.entries(json).every(([key, value]) => isStorable(key) && isStorable(value));
}

const isWhole = (text: string): boolean => !/[\uD800-\uDFFF]/u.test(text);
