import { writeFileSync } from 'node:fs';
import { type BrowserContext, expect, type Page } from '@playwright/test';

const HOUR = 3_600_000;

/** Moves the server's clock to so many hours ahead of the real one. */
export function moveClock(hours: number): void {
  writeFileSync(process.env.OAK_TEST_CLOCK ?? '', String(hours * HOUR));
}

type Cookies = Awaited<ReturnType<BrowserContext['cookies']>>;
/** Sessions by person: the form is filled in once for each, the other tests take the session over. */
const sessions = new Map<string, Cookies>();
let demo: string | undefined;

/** Signs in as one of the demo's people; returns the address of the first house. */
export async function signIn(page: Page, name: string): Promise<string> {
  const session = sessions.get(name);
  if (session) {
    await page.context().addCookies(session);
    await page.goto('/');
  } else {
    await page.goto('/signin');
    await page.getByLabel('Name').fill(name);
    await page.getByLabel('Password').fill('oak-demo');
    await page.getByRole('button', { name: 'Sign in' }).click();
  }
  await page.waitForURL(/\/h\//);
  sessions.set(name, session ?? (await page.context().cookies()));
  const [house] = /\/h\/[^/]+/.exec(page.url()) ?? [];
  if (!house) throw new Error('signing in opens a house');
  return house;
}

/** The demo house, also when another house comes before it in the list. */
export async function demoHouse(page: Page): Promise<string> {
  if (!demo) {
    await page.goto('/houses');
    demo =
      (await page.getByRole('link', { name: 'Gannet Point, plot 6', exact: true }).getAttribute('href')) ?? undefined;
  }
  if (!demo) throw new Error('the demo house is listed');
  return demo;
}

/** Collects what the browser complains about. */
export function watchErrors(page: Page): readonly string[] {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => {
    if (message.type() === 'error') errors.push(message.text());
  });
  return errors;
}

/** Types a room on the quick line of an open Tally and keeps it. */
export async function keepRoom(page: Page, line: string): Promise<void> {
  await page.getByLabel('Quick line').fill(line);
  await page.getByLabel('Quick line').press('Enter');
  await expect(page).toHaveURL(/room=/);
}
