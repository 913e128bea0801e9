import type { Page } from '@playwright/test';
import axe from 'axe-core';

/**
 * What axe finds wrong on a page, each with the places where it is.
 *
 * @param where a part of the page, as a selector: its rest is held elsewhere
 * @param rules those that are asked for; all where it is left out
 */
export async function violationsOf(
  page: Page,
  { where, rules }: { readonly where?: string; readonly rules?: readonly string[] } = {},
): Promise<readonly (readonly [string, ...string[]])[]> {
  // A page that was gone to by a link has it still.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  return page.evaluate(
    async ([within, only]) => {
      const { violations } = await (window as unknown as { axe: typeof axe }).axe.run(within ?? document, {
        resultTypes: ['violations'],
        // No rule of these asks for style sheets or films.
        preload: false,
        ...(only ? { runOnly: { type: 'rule', values: [...only] } } : {}),
      });
      return violations.map(({ id, nodes }): [string, ...string[]] => [
        id,
        ...nodes.map(({ html }) => html.slice(0, 160)),
      ]);
    },
    [where, rules] as const,
  );
}
