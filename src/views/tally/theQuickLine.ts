/** What reads, writes and completes the quick line. */
export type TheQuickLine = Awaited<ReturnType<typeof fetchIt>>;

async function fetchIt() {
  const [{ parseQuickLine }, { formatQuickLine }, { completionsAt }] = await Promise.all([
    import('@/core/quickline/parseQuickLine'),
    import('@/core/quickline/formatQuickLine'),
    import('@/core/quickline/completeLine'),
  ]);
  return { parseQuickLine, formatQuickLine, completionsAt };
}

let fetched: Promise<TheQuickLine> | undefined;

/** It comes after the page, once; where it did not come it is asked for again the next time. */
export function theQuickLine(): Promise<TheQuickLine> {
  fetched ??= fetchIt().catch((error: unknown) => {
    fetched = undefined;
    throw error;
  });
  return fetched;
}
