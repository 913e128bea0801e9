/** What a body held: JSON, nothing that is JSON, or more than may be sent. */
export type Body =
  | { readonly kind: 'json'; readonly json: unknown }
  | { readonly kind: 'broken' }
  | { readonly kind: 'tooLarge' };

/** Reads a body as JSON and stops as soon as it is larger than `most` bytes, whatever its header says. */
export async function readJson(request: Request, most: number): Promise<Body> {
  if (Number(request.headers.get('content-length') ?? 0) > most) return { kind: 'tooLarge' };
  const reader = request.body?.getReader();
  if (!reader) return { kind: 'broken' };
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
    return { kind: 'json', json: JSON.parse(Buffer.concat(chunks).toString('utf8')) };
  } catch {
    return { kind: 'broken' };
  }
}
