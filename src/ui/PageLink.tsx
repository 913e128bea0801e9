import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A link to a page of the application.
 *
 * Nothing is fetched before it is followed: each page is worked out anew from the house's record, and a list of forty houses would
 * have the server do that forty times.
 */
export function PageLink(props: Omit<ComponentProps<typeof NextLink>, 'prefetch'>) {
  return <NextLink {...props} prefetch={false} />;
}
