import { randomUUID } from 'node:crypto';
import { ANSWERS } from '../../src/contract/answers';
import { leadPlanSchema } from '../../src/contract/plan';
import type { Role } from '../../src/core/log/person';
import { SKILLS } from '../../src/core/work/workItem';
import { routesOf } from '../fuzz/routes';
import { expect, minutesBefore, test } from './site';
import { query } from './testDatabase';

/** Addresses that answer nothing in JSON to a `GET`, or are read with a secret. */
const OTHERS = [
  '/api/calendar/[secret]',
  '/api/commands/[name]',
  '/api/entries',
  '/api/health',
  '/api/laser',
  '/api/live',
  '/api/photos/[house]/[photo]',
  '/api/readings',
  '/api/shown/[secret]',
  '/api/shown/[secret]/[photo]',
  '/api/unreadable',
  '/h/[house]/csv',
  // What it holds is checked by its own schema.
  '/h/[house]/file',
  '/h/[house]/signed/[sheet]',
  '/service-worker',
];

/** Pages whose purpose is to say who did and signed what. */
const NAMING = /\/(sand|sheets|hand-over\/bath|record)$/;

const PEOPLE: readonly (readonly [name: string, role: Role])[] = [
  ['Marit', 'lead'],
  ['Petra', 'finisher'],
  ['Builder', 'viewer'],
];

const filled = (path: string, house: string) => path.replace('/h/[house]', house).replace('[room]', 'bath');

test('every answer has the fields that its reader’s role may see, and no other', async ({ page, house, signIn }) => {
  expect(Object.keys(ANSWERS).concat(OTHERS).sort()).toEqual([...routesOf('route.ts')].sort());
  for (const [name, role] of PEOPLE) {
    await signIn(page, name);
    for (const [path, schemas] of Object.entries(ANSWERS)) {
      const address = filled(path, house) + (path.endsWith('/pieces') ? '?room=bath' : '');
      const answer = await page.request.get(address);
      const schema = schemas[role];
      expect([role, path, answer.status()]).toEqual([role, path, schema ? 200 : 403]);
      const { error } = schema?.safeParse(await answer.json()) ?? {};
      expect([role, path, error?.issues.slice(0, 5) ?? []]).toEqual([role, path, []]);
    }
  }
});

test('no page or file tells a role what is not for it', async ({ page, house, signIn, site }) => {
  test.slow();
  await signIn(page, 'Marit');
  const id = house.split('/').at(-1);
  const crew = await query<{ id: string; name: string }>(
    "SELECT id, name FROM people WHERE role <> 'viewer' AND removed_at IS NULL ORDER BY name",
    site.database,
  );
  const { crew: known, crewVersion } = leadPlanSchema.parse(
    await (await page.request.get(`${house}/plan`)).json(),
  ).lead;
  const before = JSON.stringify(known);
  const own = { hours: 7.5, skills: SKILLS, learner: false, off: ['2037-11-11'], hourCost: 4321.5 };
  const people = Object.fromEntries(crew.map((one) => [one.id, own]));
  const saved = { version: crewVersion, crew: { ...known, hourCost: 8765.5, people } };
  expect((await page.request.post('/api/commands/saveCrew', { data: saved })).status()).toBe(200);
  const entry = (room: string, kind: string, payload: object) => ({
    id: randomUUID(),
    room,
    at: minutesBefore(1),
    kind,
    payload,
  });
  const entries = [
    entry('bath', 'item', { text: 'Bob left his pipes' }),
    entry('bath', 'item', { text: 'Told to the builder', forBuilder: true }),
    entry('bath', 'item', { defect: 'ridge', text: 'Bob hit it' }),
    entry('pantry', 'held', { why: 'Bob is late' }),
  ];
  expect((await page.request.post('/api/entries', { data: { house: id, entries } })).status()).toBe(200);

  const HIDDEN: Readonly<Record<'finisher' | 'viewer', readonly RegExp[]>> = {
    finisher: [/4321\.5|8765\.5/, /"passes":\d+,"within"/],
    viewer: [/4321\.5|8765\.5/, /2037-11-11/, /"hours":7\.5/, /Bob/, ...crew.map((one) => new RegExp(one.id))],
  };
  const names = new RegExp(crew.map(({ name }) => name).join('|'));
  const paths = [...routesOf('page.tsx'), ...routesOf('route.ts')]
    .filter((path) => path !== '/api/live' && !path.includes('[secret]'))
    .map((path) => filled(path, house));
  const told: unknown[] = [];
  let read = '';
  for (const [name, role] of PEOPLE) {
    if (role === 'lead') continue;
    await signIn(page, name);
    for (const path of [...paths, `${house}/csv?of=load`, `${house}/csv?of=pieces`, `${house}/pieces?room=bath`]) {
      const text = await (await page.request.get(path)).text();
      if (role === 'viewer') read += text;
      for (const secret of HIDDEN[role]) if (secret.test(text)) told.push([role, path, secret.exec(text)?.[0]]);
      if (role === 'viewer' && !NAMING.test(path) && names.test(text)) told.push([role, path, names.exec(text)?.[0]]);
    }
  }
  await query("UPDATE crews SET crew = $1 WHERE firm = (SELECT firm FROM people WHERE name = 'Marit')", site.database, [
    before,
  ]);
  expect(told).toEqual([]);
  expect(read).toContain('Told to the builder');
});
