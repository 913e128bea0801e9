import { imageDimensionsFromData } from 'image-dimensions';
import { MOST_PHOTO_BYTES, MOST_PHOTO_PIXELS, PHOTO_BYTES, PHOTO_EDGE } from '@/contract/limits';

/** A photo as it will be kept, or why it cannot be. */
export type Shrunk =
  | { readonly ok: true; readonly bytes: ArrayBuffer }
  | { readonly ok: false; readonly reason: string };

/** Drawn coarser and coarser until it is small enough. */
const QUALITIES = [0.82, 0.7, 0.55, 0.4];
/** Where a picture says how large it is. */
const HEAD_BYTES = 1_000_000;

/**
 * Draws a photo anew on this device: upright, at most `PHOTO_EDGE` pixels long and, as a rule, `PHOTO_BYTES` large; what else
 * the file held, such as where it was taken and with what, is gone.
 */
export async function shrinkPhoto(file: Blob): Promise<Shrunk> {
  const reason = await whyNot(file);
  if (reason) return { ok: false, reason };
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => undefined);
  if (!picture) return { ok: false, reason: NO_PHOTO };
  const { width, height } = sizeWithin(picture, PHOTO_EDGE);
  const canvas = new OffscreenCanvas(width, height);
  const drawing = canvas.getContext('2d');
  if (!drawing) return { ok: false, reason: 'This browser cannot draw it.' };
  drawing.fillStyle = '#ffffff';
  drawing.fillRect(0, 0, width, height);
  drawing.drawImage(picture, 0, 0, width, height);
  picture.close();
  let drawn = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITIES[0] ?? 1 });
  for (const quality of QUALITIES.slice(1))
    if (drawn.size > PHOTO_BYTES) drawn = await canvas.convertToBlob({ type: 'image/jpeg', quality });
  return { ok: true, bytes: await drawn.arrayBuffer() };
}

const NO_PHOTO = 'is no photo that can be read: a JPEG, PNG or WebP file is one';

/** What is too large is not even opened: a phone has little memory. */
async function whyNot(file: Blob): Promise<string | undefined> {
  if (file.size > MOST_PHOTO_BYTES)
    return `has ${Math.round(file.size / 1e6)} MB; a photo may have at most ${MOST_PHOTO_BYTES / 1e6}`;
  const head = new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer());
  const size = imageDimensionsFromData(head);
  if (!size) return NO_PHOTO;
  return size.width * size.height > MOST_PHOTO_PIXELS
    ? `has ${Math.round((size.width * size.height) / 1e6)} million pixels; a photo may have at most ${MOST_PHOTO_PIXELS / 1e6}`
    : undefined;
}

interface Size {
  readonly width: number;
  readonly height: number;
}

/** A size that is no longer than an edge, in the same proportion; px. */
export function sizeWithin({ width, height }: Size, edge: number): Size {
  const by = Math.min(1, edge / Math.max(width, height));
  return { width: Math.max(1, Math.round(width * by)), height: Math.max(1, Math.round(height * by)) };
}
