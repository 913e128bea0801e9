/** What a body held: its bytes, or more than may be sent, or not all of it in time. */
export type Bytes =
  | { readonly kind: 'bytes'; readonly bytes: Buffer }
  | { readonly kind: 'none' | 'tooLarge' | 'tooSlow' };

/** A body that has not come by then is given up. */
const LONGEST_MS = 20_000;

/**
 * Reads a body and stops as soon as it is larger than `most` bytes, whatever its header says, or takes longer than 20 s to
 * come.
 */
export async function readBytes(request: Request, most: number): Promise<Bytes> {
  if (Number(request.headers.get('content-length') ?? 0) > most) return { kind: 'tooLarge' };
  const reader = request.body?.getReader();
  if (!reader) return { kind: 'none' };
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
  return late ? { kind: 'tooSlow' } : { kind: 'bytes', bytes: Buffer.concat(chunks) };
}
