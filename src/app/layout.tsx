import type { Metadata, Viewport } from 'next';
import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import './globals.css';

export const metadata: Metadata = {
  title: { default: 'Oak Tally', template: '%s · Oak Tally' },
  description: 'Take-off, coats, drying and hand-over for a drywall finishing crew',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  const theme = (await cookies()).get('oak-theme')?.value === 'oak-night' ? 'oak-night' : 'oak-day';
  // Where the server's clock stands still, as in tests, the pages' clocks do so too.
  const clock = process.env.OAK_TEST_CLOCK ? 'stopped' : undefined;
  return (
    <html lang="en" data-theme={theme} data-clock={clock}>
      <body className="min-h-dvh bg-base-100 text-base-content antialiased">{children}</body>
    </html>
  );
}
