import type { MetadataRoute } from 'next';

/** How a phone puts the application among its own: name, colours, pictures, and where it opens. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Oak Tally',
    short_name: 'Oak Tally',
    description: 'Take-off, coats, drying and hand-over for a drywall finishing crew',
    start_url: '/',
    scope: '/',
    display: 'standalone',
    background_color: '#fbf7ef',
    theme_color: '#fbf7ef',
    icons: [
      { src: '/icons/oak-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icons/oak-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
      { src: '/icons/oak-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
  };
}
