import type { Metadata } from 'next';
import { AwayPages } from './AwayPages';

export const metadata: Metadata = { title: 'Without a connection' };

/** What a device shows of itself where no server answers: its service worker puts it in the place of the page that was asked for. */
export default function AwayPage() {
  return <AwayPages />;
}
