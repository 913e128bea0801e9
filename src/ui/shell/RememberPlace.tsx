'use client';

import { usePathname } from 'next/navigation';
import { useEffect } from 'react';
import { LAST_PLACE, lastPlace } from '@/contract/lastPlace';

const MONTH_S = 30 * 86_400;

/** Saves the current page in a cookie, so that a lead opens it again after signing in. */
export function RememberPlace({ person }: { readonly person: string }) {
  const path = usePathname();
  useEffect(() => {
    // biome-ignore lint/suspicious/noDocumentCookie: The server reads it; the store for cookies is not in every browser.
    document.cookie = `${LAST_PLACE}=${lastPlace(person, path)}; path=/; max-age=${MONTH_S}; samesite=lax`;
  }, [person, path]);
  return null;
}
