import sharp from 'sharp';
import type { KeptPhoto } from '../photos';

const [WIDTH, HEIGHT] = [960, 720];

/** What a lamp along a wall shows where tape came loose, drawn by ourselves: a taped flat with a bubble and its shadow. */
const PICTURE = `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}">
  <defs>
    <linearGradient id="wall" x1="0" x2="1"><stop offset="0" stop-color="#f4efe4"/><stop offset="1" stop-color="#a89c8b"/></linearGradient>
    <linearGradient id="mud" x1="0" x2="1"><stop offset="0" stop-color="#fffdf8"/><stop offset="1" stop-color="#c3b8a6"/></linearGradient>
    <filter id="soft"><feGaussianBlur stdDeviation="9"/></filter>
  </defs>
  <rect width="${WIDTH}" height="${HEIGHT}" fill="url(#wall)"/>
  <rect y="250" width="${WIDTH}" height="210" fill="url(#mud)"/>
  <path d="M0 318H${WIDTH}M0 392H${WIDTH}" stroke="#b3a58f" stroke-width="3" opacity="0.6"/>
  <path d="M410 330q150-40 300 8q30 30-6 52q-150 34-292-6q-34-24-2-54z" fill="#6e6155" opacity="0.55" filter="url(#soft)" transform="translate(22 8)"/>
  <path d="M410 330q150-40 300 8q30 30-6 52q-150 34-292-6q-34-24-2-54z" fill="#f7f1e4"/>
  <path d="M430 336q130-30 262 6" fill="none" stroke="#ffffff" stroke-width="9" opacity="0.9"/>
</svg>`;

/** The photo that comes with the demo. */
export async function demoPhoto(): Promise<KeptPhoto> {
  return { bytes: await sharp(Buffer.from(PICTURE)).jpeg({ quality: 80 }).toBuffer(), width: WIDTH, height: HEIGHT };
}
