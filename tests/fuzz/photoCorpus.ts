import sharp from 'sharp';

const GREEN = { r: 110, g: 140, b: 90 };
const picture = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: GREEN }, limitInputPixels: false });

/** Makes small files of pictures in every format that a decoder may meet, one of far too many pixels, and some that are no pictures. */
export async function photoCorpus(): Promise<readonly Uint8Array[]> {
  const small = () => picture(64, 48);
  return Promise.all([
    small()
      .jpeg()
      .withExif({ IFD0: { Copyright: 'nobody' } })
      .toBuffer(),
    small().jpeg({ progressive: true }).toBuffer(),
    small().png().toBuffer(),
    small().webp().toBuffer(),
    small().gif().toBuffer(),
    small().tiff().toBuffer(),
    small().avif({ effort: 0 }).toBuffer(),
    picture(1, 1).png().toBuffer(),
    picture(7680, 7680).png({ compressionLevel: 9 }).toBuffer(),
    new TextEncoder().encode(
      '<svg xmlns="http://www.w3.org/2000/svg" width="1e9" height="1e9"><image href="file:///etc/passwd"/></svg>',
    ),
    new TextEncoder().encode('%PDF-1.4'),
    new Uint8Array(0),
  ]);
}
