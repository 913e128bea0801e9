import sharp from 'sharp';
import { MOST_AVIF_PIXELS, MOST_PHOTO_PIXELS, PHOTO_BYTES, PHOTO_EDGE } from '../../contract/limits';
import type { KeptPhoto } from '../../db/photos';

/** A photo as it is kept, or why it cannot be. */
export type Drawn = { readonly ok: true; readonly photo: KeptPhoto } | { readonly ok: false; readonly why: string };

export const NO_PHOTO = 'This file can’t be read as a photo. Send a JPEG, PNG, WebP or AVIF file.';
/** The largest picture in each format: one of AVIF is decoded whole, with 25 bytes to a pixel. */
const MOST_PIXELS: Readonly<Record<string, number>> = {
  jpeg: MOST_PHOTO_PIXELS,
  png: MOST_PHOTO_PIXELS,
  webp: MOST_PHOTO_PIXELS,
  heif: MOST_AVIF_PIXELS,
};
/** Drawn coarser and coarser until it is small enough. */
const QUALITIES = [82, 70, 55, 40];

/** Draws a picture anew as a JPEG that is no larger than what is kept; or tells why it cannot. */
export async function drawnAnew(bytes: Buffer): Promise<Drawn> {
  try {
    const { format, width, height } = await sharp(bytes, { limitInputPixels: false }).metadata();
    const most = MOST_PIXELS[format ?? ''];
    if (most === undefined) return { ok: false, why: NO_PHOTO };
    if (width * height > most)
      return { ok: false, why: `This photo has too many pixels. Send one with at most ${most / 1e6} million.` };
    const upright = await sharp(bytes, { limitInputPixels: most, failOn: 'truncated' })
      .autoOrient()
      .resize(PHOTO_EDGE, PHOTO_EDGE, { fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .raw()
      .toBuffer({ resolveWithObject: true });
    for (const quality of QUALITIES) {
      const { data, info } = await sharp(upright.data, { raw: upright.info })
        .jpeg({ quality })
        .toBuffer({ resolveWithObject: true });
      if (data.length <= PHOTO_BYTES || quality === QUALITIES.at(-1))
        return { ok: true, photo: { bytes: data, width: info.width, height: info.height } };
    }
  } catch {
    // A file that is cut off, or no picture at all.
  }
  return { ok: false, why: NO_PHOTO };
}
