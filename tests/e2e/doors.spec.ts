import { randomUUID } from 'node:crypto';
import { readdirSync } from 'node:fs';
import { sealData } from 'iron-session';
import { expect, test } from './site';

/** Every page of the application, from its files, with a house and a room filled in. */
const pagesOf = (house: string): readonly string[] =>
  readdirSync('src/app', { recursive: true, encoding: 'utf8' })
    .filter((file) => /(^|\/)page\.tsx$/.test(file))
    .map((file) => `/${file.replace(/\/?page\.tsx$/, '')}`.replace('/h/[house]', house).replace('[room]', 'boot-room'));

/** What only somebody who is signed in may read. */
const WITHIN = /Gannet Point|Boot room|Bunk room|Petra|Copy for/;
const PUBLIC = ['/signin', '/setup'];

/** As the browser asks for the parts of a page when it has the layouts already. */
function partsRequest(path: string): Record<string, string> {
  const tree = path
    .split('/')
    .filter(Boolean)
    .reduceRight<unknown>((inner, part) => [part, { children: inner }], ['__PAGE__', {}, null, 'refetch']);
  return { RSC: '1', 'Next-Router-State-Tree': encodeURIComponent(JSON.stringify(['', { children: tree }])) };
}

test('who is not signed in reads nothing of any page, whatever the cookie and however it is asked', async ({
  page,
  playwright,
  baseURL,
  house,
  signIn,
}) => {
  await signIn(page, 'Marit');
  const own = (await page.context().cookies()).find(({ name }) => name === 'oak-session')?.value ?? '';
  const seal = (password: string, person: string) => sealData({ person }, { password });
  const cookies = {
    none: undefined,
    odd: 'nonsense',
    tampered: `${own.slice(0, -8)}${[...own.slice(-8)].reverse().join('')}`,
    forged: await seal('another secret, also of at least 32 characters', randomUUID()),
    'of nobody': await seal('a secret for tests, of at least 32 characters', randomUUID()),
  };
  const pages = pagesOf(house).filter((path) => !PUBLIC.includes(path));
  expect(pages.length).toBeGreaterThan(12);
  const read: string[] = [];
  for (const [kind, cookie] of Object.entries(cookies)) {
    const outside = await playwright.request.newContext({
      baseURL,
      extraHTTPHeaders: cookie ? { cookie: `oak-session=${cookie}` } : {},
    });
    for (const path of pages) {
      for (const headers of [{}, { RSC: '1' }, partsRequest(path)]) {
        const answer = await outside.get(path, { headers, maxRedirects: 0 });
        if (WITHIN.test(await answer.text())) read.push(`${kind}: ${path} ${Object.keys(headers).length}`);
      }
    }
    expect((await outside.get(`${house}/file`)).status(), kind).toBe(401);
    await outside.dispose();
  }
  expect(read).toEqual([]);
  // The same requests of somebody who is signed in tell it: what is looked for is there.
  for (const headers of [{}, { RSC: '1' }, partsRequest(`${house}/load`)])
    expect(await (await page.request.get(`${house}/load`, { headers })).text()).toMatch(WITHIN);
});
