import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import { commandInputs } from './commandInputs';
import { routesOf } from './routes';

/** What a browser may say that it shows already: a right one, and some that are nearly right. */
const STATES = ['["",{"children":["signin",{}]}]', '["",3]', '[]', '["",{"children":[]}]', '{', '["']
  .map(encodeURIComponent)
  .concat('%5B%ff%5D', '%5B%5D%5D');

/** A request as it is sent. */
export interface OddRequest {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: string | Uint8Array | undefined;
}

/** What requests are made for: a house, an instant in its log (ISO 8601), who may be signed in by cookie, a device's key. */
export interface Ground {
  readonly house: string;
  readonly at: string;
  readonly cookies: readonly string[];
  readonly deviceKey: string;
  /** Files of pictures, and some that are none. */
  readonly photos: readonly Uint8Array[];
}

const ROUTES = [...routesOf('page.tsx'), ...routesOf('route.ts')];

/** Values that have broken something somewhere. */
const odd = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    true,
    '',
    ' ',
    '\0',
    '\ud800',
    'İΑΣ',
    '__proto__',
    '%00',
    '../../etc',
    "'; DROP TABLE people; --",
    '<script>1</script>',
    'NaN',
    '1/0',
    '0000-00-00',
    '+275760-09-13T00:00:00.001Z',
    '0100-01-01T00:00:00Z',
    '9999-12-31T23:59:59Z',
    0,
    -0,
    -1,
    0.1,
    1e-12,
    1e15,
    2 ** 31,
    2 ** 53,
    1e308,
    -1e308,
    [],
    {},
    [[]],
    { constructor: 1 },
  ),
  fc.string({ maxLength: 80 }),
  fc.double(),
  fc.integer(),
  fc.constant('x'.repeat(5000)),
  fc.constant(Array.from({ length: 300 }, (_, index) => [index, index])),
  fc.constant(Array.from({ length: 200 }).reduce<unknown>((inner) => [inner], 1)),
);

/** Puts something odd somewhere into a value, leaves something out, or adds what nobody asked for. */
function spoil(value: unknown, steps: readonly number[], into: unknown): unknown {
  const [step = 0, ...rest] = steps;
  if (typeof value !== 'object' || value === null || steps.length === 0) return into;
  const keys = Object.keys(value);
  const key = keys[step % (keys.length + 1)];
  if (Array.isArray(value))
    return key === undefined
      ? [...value, into]
      : value.map((one, index) => (String(index) === key ? spoil(one, rest, into) : one));
  if (key === undefined) return { ...value, more: into };
  const { [key]: one, ...others } = value as Record<string, unknown>;
  // Every seventh key goes missing.
  return step % 7 === 6 ? others : { ...others, [key]: spoil(one, rest, into) };
}

const spoilt = (value: unknown) =>
  fc
    .tuple(fc.array(fc.nat(200), { minLength: 1, maxLength: 5 }), odd)
    .map(([steps, into]) => spoil(value, steps, into));

/** As text, seldom cut off or no JSON at all. */
const bodyOf = (value: fc.Arbitrary<unknown>): fc.Arbitrary<string | Uint8Array> =>
  fc.oneof(
    { weight: 12, arbitrary: value.map((content) => JSON.stringify(content) ?? '') },
    {
      weight: 1,
      arbitrary: fc
        .tuple(value, fc.nat(40))
        .map(([content, cut]) => (JSON.stringify(content) ?? '').slice(0, -1 - cut)),
    },
    { weight: 1, arbitrary: fc.uint8Array({ maxLength: 200 }) },
  );

/** Rare: more than may be sent, nested deeper than anybody nests, and long lists of what is wrong. */
const LARGE: readonly string[] = [
  'x'.repeat(1_200_000),
  '['.repeat(50_000),
  '{"a":'.repeat(20_000),
  `${'['.repeat(3000)}1${']'.repeat(3000)}`,
  `{"house":"${'a'.repeat(1_100_000)}"}`,
  JSON.stringify({ rooms: Array.from({ length: 4000 }, () => ({ outline: [[], 'no corner', null] })) }),
  JSON.stringify({ entries: Array.from({ length: 499 }, () => ({ payload: { pieces: Array(600).fill('') } })) }),
  JSON.stringify(Object.fromEntries(Array.from({ length: 30_000 }, (_, index) => [`key${index}`, index]))),
];
const LARGE_PATHS = [
  '/api/entries',
  '/api/readings',
  '/api/commands/addRooms',
  '/api/commands/importHouse',
  '/api/unreadable',
];

/** Returns a file with some bytes changed, and seldom cut off. */
function damaged(file: Uint8Array, places: readonly (readonly [number, number])[], cut: number): Uint8Array {
  const bytes = new Uint8Array(file);
  if (bytes.length > 0) for (const [place, value] of places) bytes[place % bytes.length] = value;
  return cut % 4 === 0 ? bytes.slice(0, cut % (bytes.length + 1)) : bytes;
}

/** Odd requests over all that the application answers, half of them with a fault in otherwise fitting content. */
export function oddRequests(ground: Ground): fc.Arbitrary<OddRequest> {
  // Signing out would make everything after it the request of nobody.
  const commands = Object.entries(commandInputs(ground.house)).filter(([name]) => name !== 'signOut');
  const entry = { room: 'bath', at: ground.at, kind: 'held', payload: { why: 'odd' } };
  const coat = { class: 'flat', key: 'tape', part: 0.3, mud: { kind: 'drying' } };
  const entries = [
    entry,
    { ...entry, kind: 'coat', payload: coat },
    { ...entry, kind: 'item', payload: { text: 'x' } },
  ];
  const cookie = fc.constantFrom('', 'oak-session=odd', ...ground.cookies);
  const headers = (...more: readonly Readonly<Record<string, string>>[]) =>
    fc.tuple(cookie, fc.constantFrom(...more)).map(([own, extra]) => ({ ...(own && { cookie: own }), ...extra }));
  const ofPage = () =>
    headers({}, { RSC: '1' }, ...STATES.map((tree) => ({ RSC: '1', 'next-router-state-tree': tree })));
  const json = { 'content-type': 'application/json' };
  const post = (
    path: fc.Arbitrary<string>,
    body: fc.Arbitrary<string | Uint8Array>,
    more: Record<string, string> = json,
  ) => fc.record({ method: fc.constant('POST'), path, headers: headers(more), body });
  const part = fc.oneof(
    fc.constantFrom(ground.house, ground.house.toUpperCase(), 'bath', '%00', '%ff', '..', 'null', randomUUID()),
    fc.string({ maxLength: 20 }).map((text) => encodeURIComponent(text.replace(/[\ud800-\udfff]/g, ''))),
  );
  const path = fc
    .tuple(fc.constantFrom(...ROUTES), part, part, fc.constantFrom('', '?room=%00', '?room=bath&room=b', '?at=1e308'))
    .map(
      ([route, first, second, query]) =>
        `${route.replace('[house]', first).replace('[room]', second).replace('[name]', first)}${query}`,
    );
  const ofHouse = fc
    .tuple(fc.constantFrom(...ROUTES.filter((route) => route.startsWith('/h/'))), part)
    .map(([route, room]) => route.replace('[house]', ground.house).replace('[room]', room));
  const command = fc
    .constantFrom(...commands)
    .chain(([name, input]) => post(fc.constant(`/api/commands/${name}`), bodyOf(spoilt(input))));
  const logged = fc
    .constantFrom(...entries)
    .chain((one) =>
      post(
        fc.constant('/api/entries'),
        bodyOf(
          fc
            .tuple(fc.uuid(), fc.boolean())
            .chain(([id, whole]) =>
              whole
                ? spoilt({ ...one, id }).map((own) => ({ house: ground.house, entries: [own] }))
                : spoilt({ house: ground.house, entries: [{ ...one, id }] }),
            ),
        ),
      ),
    );
  const measured = post(
    fc.constant('/api/readings'),
    bodyOf(spoilt({ readings: [{ at: ground.at, temperature: 20, humidity: 50, airSpeed: 0.2 }] })),
    { ...json, authorization: `Bearer ${ground.deviceKey}` },
  );
  const photo = fc.record({
    method: fc.constant('PUT'),
    path: fc.uuid().map((id) => `/api/photos/${ground.house}/${id}`),
    headers: headers({ 'content-type': 'image/jpeg' }),
    body: fc
      .tuple(
        fc.constantFrom(...ground.photos),
        fc.array(fc.tuple(fc.nat(100_000), fc.nat(255)), { maxLength: 6 }),
        fc.nat(100_000),
      )
      .map(([file, places, cut]) => damaged(file, places, cut)),
  });
  return fc.oneof(
    { weight: 45, arbitrary: command },
    { weight: 20, arbitrary: logged },
    { weight: 10, arbitrary: measured },
    {
      weight: 6,
      arbitrary: fc.record({
        method: fc.constantFrom('GET', 'HEAD', 'PUT', 'DELETE', 'PATCH', 'OPTIONS'),
        path,
        headers: ofPage(),
        body: fc.constant(undefined),
      }),
    },
    {
      weight: 3,
      arbitrary: fc.record({
        method: fc.constant('GET'),
        path: ofHouse,
        headers: ofPage(),
        body: fc.constant(undefined),
      }),
    },
    { weight: 1, arbitrary: post(fc.constantFrom(...LARGE_PATHS), fc.constantFrom(...LARGE)) },
    { weight: 1, arbitrary: photo },
  );
}
