import { headers } from 'next/headers';
import type { Member } from '../db/people';
import { PAGE_PATH, REQUEST_ID, requestLog, whoAsks } from './requestLog';

/** Loads what a page shows, and writes one line about it: which page, for whom, how long it took. */
export async function loggedPage<Value>(member: Member, load: () => Promise<Value>): Promise<Value> {
  const asked = await headers();
  const from = performance.now();
  let found = false;
  try {
    const value = await load();
    found = true;
    return value;
  } finally {
    requestLog().info({
      request: asked.get(REQUEST_ID) ?? undefined,
      page: asked.get(PAGE_PATH) ?? undefined,
      loaded: found,
      ms: Math.round(performance.now() - from),
      ...whoAsks(member),
    });
  }
}
