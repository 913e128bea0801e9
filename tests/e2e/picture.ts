import sharp from 'sharp';

/** A plain picture, as PNG. */
export const picture = (width: number, height: number): Promise<Buffer> =>
  sharp({ create: { width, height, channels: 3, background: '#c9b18a' } })
    .png()
    .toBuffer();
