import type { Metadata, Viewport } from 'next';
import { cookies, headers } from 'next/headers';
import type { ReactNode } from 'react';
import { SCRIPT_NONCE } from '@/contract/scriptNonce';
import { keepEarly } from '@/ui/shell/earlyPresses';
import { TellLive } from '@/ui/shell/TellLive';
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
  const nonce = (await headers()).get(SCRIPT_NONCE) ?? undefined;
  return (
    <html lang="en" data-theme={theme} data-clock={clock}>
      <body className="min-h-dvh bg-base-100 text-base-content antialiased">
        {/* biome-ignore lint/security/noDangerouslySetInnerHtml: a function of the application's own, as text */}
        <script nonce={nonce} dangerouslySetInnerHTML={{ __html: `(${keepEarly})()` }} suppressHydrationWarning />
        {children}
        <TellLive />
      </body>
    </html>
  );
}
