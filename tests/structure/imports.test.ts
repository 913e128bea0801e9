import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';
import { describe, expect, it } from 'vitest';

/** Later stages import earlier ones, never the other way. */
const STAGES = [
  'measure',
  'room',
  'dxf',
  'quickline',
  'house',
  'hang',
  'joints',
  'method',
  'section',
  'materials',
  'air',
  'drying',
  'work',
  'rates',
  'plan',
  'estimate',
  'log',
  'standing',
  'readiness',
  'snapshot',
  'drywatch',
  'schedule',
  'inspect',
  'supply',
  'stock',
  'cost',
  'rules',
];

/** Where pages and layouts take from the server: each of these asks who is there, or tells nothing of a house. */
const DOORS = [
  'server/visit',
  'server/shownHouse',
  'server/firstStart',
  'server/mayAct',
  'server/publicAddress',
  'server/weather',
];

/** What each part may import besides itself and packages. */
const ALLOWED: Readonly<Record<string, readonly string[]>> = {
  core: [],
  words: ['core'],
  // The demo's readings come from the stand-ins.
  db: ['words', 'core', 'standins'],
  contract: ['core'],
  server: ['db', 'contract', 'words', 'core'],
  client: ['contract', 'words', 'core', 'workers'],
  ui: ['client', 'contract', 'words', 'core'],
  workers: ['core'],
  views: ['client', 'ui', 'workers', 'contract', 'words', 'core'],
  app: ['server', 'views', 'ui', 'contract', 'words', 'core'],
  cli: ['words', 'core'],
  'proxy.ts': ['server', 'contract'],
  'instrumentation.ts': ['server'],
};

const files = readdirSync('src', { recursive: true, encoding: 'utf8' }).filter(
  (file) => /\.tsx?$/.test(file) && !/\.test\.tsx?$/.test(file),
);

const importsOf = (file: string) => {
  const text = readFileSync(join('src', file), 'utf8');
  return [...text.matchAll(/(?:from|import) '((?:@\/|\.{1,2}\/)[^']+)'/g)].map(([, path = '']) => ({
    file,
    target: (path.startsWith('@/') ? path.slice(2) : normalize(join(dirname(file), path))).replace(
      '../standins',
      'standins',
    ),
  }));
};
const imports = files.flatMap(importsOf);

describe('imports', () => {
  it('are found', () => {
    expect(imports.length).toBeGreaterThan(200);
  });

  it('point the way of the pipeline between the parts', () => {
    const wrong = imports.filter(({ file, target }) => {
      const [from = '', to = ''] = [file.split('/')[0], target.split('/')[0]];
      return from !== to && !target.endsWith('.css') && !(ALLOWED[from] ?? []).includes(to);
    });
    expect(wrong).toEqual([]);
  });

  it('let only the demo take from the stand-ins, and the stand-ins only from the core', () => {
    const users = imports.filter(({ target }) => target.startsWith('standins/')).map(({ file }) => dirname(file));
    expect([...new Set(users)]).toEqual(['db/demo']);
    const standIns = readdirSync('standins').flatMap((file) => importsOf(join('..', 'standins', file)));
    expect(standIns.length).toBeGreaterThan(5);
    expect(standIns.filter(({ target }) => !/^(\.\.\/src\/core|standins)\//.test(target))).toEqual([]);
  });

  it('point the way of the pipeline between the stages of the core', () => {
    const inCore = imports.filter(({ file, target }) => file.startsWith('core/') && target.startsWith('core/'));
    const rank = (path: string) => STAGES.indexOf(path.split('/')[1] ?? '');
    expect(inCore.filter(({ file, target }) => rank(file) < rank(target))).toEqual([]);
    expect(inCore.filter(({ file }) => rank(file) < 0)).toEqual([]);
  });

  it('keep one view out of another', () => {
    const views = imports.filter(({ file, target }) => file.startsWith('views/') && target.startsWith('views/'));
    expect(views.filter(({ file, target }) => file.split('/')[1] !== target.split('/')[1])).toEqual([]);
  });

  it('take links from one place, which fetches nothing before they are followed', () => {
    const users = files.filter((file) =>
      /import \w+[^;]* from 'next\/link'/.test(readFileSync(join('src', file), 'utf8')),
    );
    expect(users).toEqual(['ui/PageLink.tsx']);
  });

  it('lead pages to what is in a house through one door, which asks who is there', () => {
    const pages = files.filter((file) => file.startsWith('app/') && /(page|layout)\.tsx$/.test(file));
    const taken = imports.filter(({ file, target }) => pages.includes(file) && target.startsWith('server/'));
    expect(taken.filter(({ target }) => !DOORS.includes(target))).toEqual([]);
    const ofHouses = pages.filter((file) => file.startsWith('app/h/'));
    expect(ofHouses.length).toBeGreaterThan(10);
    const through = taken.filter(({ target }) => target === 'server/visit').map(({ file }) => file);
    expect(ofHouses.filter((file) => !through.includes(file))).toEqual([]);
    const door = readFileSync('src/server/visit.ts', 'utf8');
    const visits = door.match(/^export (const|async function) visit\w+/gm) ?? [];
    expect(visits.length).toBeGreaterThan(1);
    expect(door.match(/= await requirePerson\(\)/g)).toHaveLength(visits.length);
  });

  it('lead to what belongs to firms by queries that say whose it is', () => {
    const tables =
      'people|houses|rooms|entries|readings|methods|devices|reading_hours|weather_hours|sessions|house_viewers|photos|calendars|shown_houses|signed_sheets';
    const owned = new RegExp(`\\b(?:FROM|INTO|UPDATE|JOIN) (?:${tables})\\b`);
    const queries = files
      .filter((file) => /^db\/[^/]+\.ts$/.test(file))
      .flatMap((file) => [
        ...readFileSync(join('src', file), 'utf8').matchAll(/`(?:[^`$]|\$(?!\{)|\$\{[^}]*\})*`|'(?:[^'\n\\]|\\.)*'/g),
      ])
      .map(([query]) => query)
      .filter((query) => owned.test(query));
    expect(queries.length).toBeGreaterThan(15);
    expect(queries.filter((query) => !/\bfirm\b/.test(query))).toEqual([]);
    // Sign-ins, secrets, changes and wrong passwords (a table without rows of companies) are looked up across companies; nothing else is.
    const across = files.filter((file) => /acrossFirms\(/.test(readFileSync(join('src', file), 'utf8')));
    expect(across.toSorted()).toEqual([
      'db/calendars.ts',
      'db/devices.ts',
      'db/firms.ts',
      'db/lasers.ts',
      'db/sessions.ts',
      'db/shownHouses.ts',
      'server/live/hub.ts',
      'server/throttle.ts',
    ]);
  });

  it('keep React, Next and the database out of the core', () => {
    const core = files.filter((file) => file.startsWith('core/'));
    expect(
      core.filter((file) => /from '(react|next|sequelize|pg|umzug)/.test(readFileSync(join('src', file), 'utf8'))),
    ).toEqual([]);
  });
});
