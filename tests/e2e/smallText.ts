import type { Page } from '@playwright/test';

/** Text that is smaller than 14 px, in words; what is drawn is left out. */
export const smallText = (page: Page) =>
  page.evaluate(() => {
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    const found = new Set<string>();
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const parent = node.parentElement;
      const text = node.textContent?.trim() ?? '';
      if (!parent || text === '' || parent.closest('svg, script, style, .sr-only, [aria-hidden=true]')) continue;
      if (parent.checkVisibility() && Number.parseFloat(getComputedStyle(parent).fontSize) < 13.9)
        found.add(text.slice(0, 40));
    }
    return [...found];
  });
