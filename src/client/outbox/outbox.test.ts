import { describe, expect, it } from 'vitest';
import type { NewEntry } from '@/core/log/entry';
import { randomFrom } from '@/core/plan/improve';
import {
  type OutboxParts,
  type OutboxStore,
  type Sent,
  sendUnsent,
  splitClashes,
  type UnsentGroup,
  type VersionedEntry,
  withAnswer,
} from './outbox';

const NOBODY_ELSE = <Value>(run: () => Promise<Value>) => run();
const entry = (id: string): NewEntry => ({
  id,
  room: 'hall',
  at: '2031-05-06T11:00:00.000Z',
  kind: 'released',
  payload: {},
});
const group = (id: string, more: Partial<UnsentGroup> = {}): UnsentGroup => ({
  id,
  house: 'h1',
  who: 'tobin',
  version: 3,
  entries: [entry(`${id}.1`), entry(`${id}.2`)],
  ...more,
});

/** A disk: what was written stays, whatever becomes of the page. */
class Disk implements OutboxStore {
  groups: readonly UnsentGroup[] = [];
  add = async (one: UnsentGroup) => {
    this.groups = [...this.groups, one];
  };
  all = async () => this.groups;
  remove = async (ids: readonly string[]) => {
    this.groups = this.groups.filter(({ id }) => !ids.includes(id));
  };
  settle = this.remove;
  refuse: OutboxStore['refuse'] = async (id, why, asks, entries) => {
    const more = { refused: why, ...(asks && { asks }), ...(entries && { entries }) };
    this.groups = this.groups.map((one) => (one.id === id ? { ...one, ...more } : one));
  };
}

/** A server that records each id once, as the real one does. */
class Server {
  readonly recorded: string[] = [];
  readonly posts: (readonly string[])[] = [];
  readonly photos: string[] = [];
  constructor(readonly refuses: (id: string) => boolean = () => false) {}
  take(entries: readonly VersionedEntry[]): Sent {
    const ids = entries.map(({ id }) => id);
    this.posts.push(ids);
    if (ids.some(this.refuses)) return { kind: 'refused', why: 'no' };
    // An entry that is called so names the photo of its group.
    for (const id of ids) if (id.startsWith('p') && !this.photos.includes(id.split('.')[0] ?? '')) throw new Error(id);
    for (const id of ids) if (!this.recorded.includes(id)) this.recorded.push(id);
    return { kind: 'recorded' };
  }
  takePhoto(id: string): Sent {
    if (id.includes('bad')) return { kind: 'refused', why: 'no photo' };
    this.photos.push(id);
    return { kind: 'recorded' };
  }
}

const partsOf = (store: OutboxStore, server: Server): OutboxParts => ({
  store,
  send: async (_, __, all) => server.take(all),
  sendPhoto: async (_, id) => server.takePhoto(id),
  alone: NOBODY_ELSE,
});

describe('what was not sent yet', () => {
  it('is sent in order, what is of one house together', async () => {
    const [disk, server] = [new Disk(), new Server()];
    for (const one of [group('a'), group('b'), group('c', { house: 'h2' }), group('d')]) await disk.add(one);
    const parts = partsOf(disk, server);
    expect(await sendUnsent(parts, 'tobin')).toBe('empty');
    expect(server.posts).toEqual([
      ['a.1', 'a.2', 'b.1', 'b.2'],
      ['c.1', 'c.2'],
      ['d.1', 'd.2'],
    ]);
    expect(disk.groups).toEqual([]);
  });

  it('is refused by itself, and the others go on', async () => {
    const [disk, server] = [new Disk(), new Server((id) => id === 'b.2')];
    for (const one of [group('a'), group('b'), group('c')]) await disk.add(one);
    const parts = partsOf(disk, server);
    expect(await sendUnsent(parts, 'tobin')).toBe('empty');
    expect(server.recorded).toEqual(['a.1', 'a.2', 'c.1', 'c.2']);
    expect(disk.groups).toEqual([{ ...group('b'), refused: 'no' }]);
    // It is not asked again by itself.
    const asked = server.posts.length;
    expect(await sendUnsent(parts, 'tobin')).toBe('empty');
    expect(server.posts).toHaveLength(asked);
  });

  it('is found among many by halves, wherever it stands', async () => {
    const isBad = (id: string) => Number(id.split('.')[0]) % 50 === 17;
    const [disk, server] = [new Disk(), new Server(isBad)];
    for (let index = 0; index < 600; index += 1) await disk.add(group(String(index)));
    expect(await sendUnsent(partsOf(disk, server), 'tobin')).toBe('empty');
    expect(disk.groups.map(({ id }) => id)).toEqual(Array.from({ length: 12 }, (_, index) => String(50 * index + 17)));
    expect(server.recorded).toHaveLength(2 * 588);
    // Each is asked for by itself, and there are seven halves of a hundred groups.
    expect(server.posts.length).toBeLessThan(12 * 10);
  });

  it('is sent in the form that it was said in, by whatever version of the application', async () => {
    const [disk, versions] = [new Disk(), [] as number[]];
    for (const one of [group('a', { version: 2 }), group('b')]) await disk.add(one);
    const send = async (_: string, __: string, all: readonly VersionedEntry[]): Promise<Sent> => {
      versions.push(...all.map(({ version }) => version));
      return { kind: 'recorded' };
    };
    await sendUnsent({ ...partsOf(disk, new Server()), send }, 'tobin');
    expect(versions).toEqual([2, 2, 3, 3]);
  });

  it('is sent by nobody else', async () => {
    const [disk, server] = [new Disk(), new Server()];
    for (const one of [group('a', { who: 'ines' }), group('b')]) await disk.add(one);
    const parts = partsOf(disk, server);
    expect(await sendUnsent(parts, 'tobin')).toBe('empty');
    expect(server.recorded).toEqual(['b.1', 'b.2']);
    expect(disk.groups.map(({ id }) => id)).toEqual(['a']);
  });

  it('goes behind its photos; one that is refused takes its group with it, and nothing else', async () => {
    const [disk, server] = [new Disk(), new Server()];
    const groups = [group('p1', { photos: ['p1'] }), group('q', { photos: ['bad'] }), group('p2', { photos: ['p2'] })];
    for (const one of groups) await disk.add(one);
    expect(await sendUnsent(partsOf(disk, server), 'tobin')).toBe('empty');
    expect(server.photos.toSorted()).toEqual(['p1', 'p1', 'p2']);
    expect(server.recorded).toEqual(['p1.1', 'p1.2', 'p2.1', 'p2.2']);
    expect(disk.groups).toEqual([{ ...group('q', { photos: ['bad'] }), refused: 'no photo' }]);
  });

  it.each(['away', 'signedOut'] as const)('stays where the server is %s', async (kind) => {
    const disk = new Disk();
    await disk.add(group('a'));
    const parts = { ...partsOf(disk, new Server()), send: async () => ({ kind }) };
    expect(await sendUnsent(parts, 'tobin')).toBe(kind);
    expect(disk.groups).toEqual([group('a')]);
  });
});

class Died extends Error {}

describe('whatever happens on the way', () => {
  it('everything that was said is recorded once and in order, or refused, in 10,000 histories', async () => {
    const counts = { died: 0, lost: 0, refused: 0 };
    for (let seed = 1; seed <= 10_000; seed += 1) {
      const random = randomFrom(seed);
      const upTo = (most: number) => Math.floor(random() * (most + 1));
      const disk = new Disk();
      const server = new Server((id) => id.startsWith('x'));
      const said: UnsentGroup[] = [];
      /** A page that dies before one of its next steps. */
      const page = (steps: number) => {
        let left = steps;
        const step = async <Value>(run: () => Promise<Value>): Promise<Value> => {
          if (left === 0) throw new Died();
          left -= 1;
          return run();
        };
        const store: OutboxStore = {
          add: (one) => step(() => disk.add(one)),
          all: () => step(() => disk.all()),
          remove: (ids) => step(() => disk.remove(ids)),
          settle: (ids) => step(() => disk.settle(ids)),
          refuse: (id, why) => step(() => disk.refuse(id, why)),
        };
        const send = (_: string, __: string, all: readonly VersionedEntry[]) =>
          step(async (): Promise<Sent> => {
            const chance = random();
            if (chance < 0.25) return { kind: 'away' };
            const answer = server.take(all);
            // It was recorded, and the answer did not come.
            if (chance < 0.45) {
              counts.lost += 1;
              return { kind: 'away' };
            }
            return answer;
          });
        const sendPhoto = (_: string, id: string) =>
          step(async (): Promise<Sent> => (random() < 0.3 ? { kind: 'away' } : server.takePhoto(id)));
        return { store, send, sendPhoto, alone: NOBODY_ELSE };
      };
      for (let turn = 0; turn <= 2 + upTo(6); turn += 1) {
        const one = page(upTo(12));
        try {
          for (let more = upTo(2); more > 0; more -= 1) {
            const isRefused = random() < 0.15;
            const id = `${isRefused ? 'x' : random() < 0.3 ? 'p' : 'g'}${said.length}`;
            const next = group(id, { house: `h${upTo(1)}`, ...(id.startsWith('p') ? { photos: [id] } : {}) });
            await one.store.add(next);
            said.push(next);
          }
          await sendUnsent(one, 'tobin');
        } catch (error) {
          if (!(error instanceof Died)) throw error;
          counts.died += 1;
        }
      }
      await sendUnsent(partsOf(disk, server), 'tobin');
      const wanted = said.filter(({ id }) => !id.startsWith('x')).flatMap(({ entries }) => entries.map(({ id }) => id));
      expect(server.recorded, `seed ${seed}`).toEqual(wanted);
      expect(disk.groups.map(({ id, refused }) => [id, refused])).toEqual(
        said.filter(({ id }) => id.startsWith('x')).map(({ id }) => [id, 'no']),
      );
      counts.refused += disk.groups.length;
    }
    // Histories of every kind were among them.
    expect(Math.min(counts.died, counts.lost, counts.refused)).toBeGreaterThan(1000);
  });
});

describe('the answer to a question about coats', () => {
  const coat: NewEntry = {
    id: 'c',
    room: 'hall',
    at: '2031-05-06T11:00:00.000Z',
    kind: 'coat',
    payload: { class: 'flat', key: 'fill', part: 1, mud: { kind: 'drying' } },
  };
  const add = (added: object, { at }: NewEntry) => ({ ...added, id: JSON.stringify(added), at }) as NewEntry;
  const closing = (item: string) => add({ kind: 'itemClosed', room: 'hall', payload: { item } }, coat);
  const asks = { fixFirst: ['one', 'two'] };
  it('says of every coat that it is the same, or the next', () => {
    const [first] = withAnswer([coat, entry('e')], 'sameCoat', { repeat: 'next' }, add);
    expect(first?.payload).toEqual({ ...coat.payload, repeat: 'next' });
  });
  it('closes what is fixed before the coat goes over it', () => {
    expect(withAnswer([coat], asks, { fixed: true }, add)).toEqual([closing('one'), closing('two'), coat]);
  });
  it('keeps why a coat covers what is not fixed', () => {
    expect(withAnswer([entry('e'), coat], asks, { why: 'agreed' }, add)).toEqual([
      entry('e'),
      { ...coat, payload: { ...coat.payload, covers: { items: ['one', 'two'], why: 'agreed' } } },
    ]);
  });
  it('takes back what somebody else logged where mine counts, and nothing where both did part', () => {
    const asks = { clashes: [{ entry: 'c', theirs: 'd' }] };
    const seen = { ...coat, payload: { ...coat.payload, seen: 7 } } as NewEntry;
    const same = { ...coat, payload: { ...coat.payload, repeat: 'same' } };
    const voids = add({ kind: 'void', room: null, payload: { target: 'd', for: 'c' } }, coat);
    expect(withAnswer([seen], asks, { counts: 'mine' }, add)).toEqual([voids, same]);
    expect(withAnswer([seen], asks, { counts: 'both' }, add)).toEqual([same]);
    expect(withAnswer([seen], asks, { counts: 'theirs' }, add)).toEqual([]);
  });
});

describe('what two people logged', () => {
  const coat = (id: string, pieces: readonly string[]): NewEntry => ({
    id,
    room: 'hall',
    at: '2031-05-06T11:00:00.000Z',
    kind: 'coat',
    payload: {
      class: 'flat',
      key: 'fill',
      part: 1,
      mud: { kind: 'drying' },
      pieces: pieces.map((piece) => ({ id: piece })),
    },
  });
  const both = group('g', { entries: [coat('flats', ['a', 'b']), coat('other', ['c'])] });

  it('waits for an answer, and the rest goes on', () => {
    const { asked, rest } = splitClashes(both, [{ entry: 'flats', theirs: 'x' }], () => 'new');
    expect(asked).toEqual([coat('flats', ['a', 'b'])]);
    expect(rest).toEqual({ ...both, id: 'new', entries: [coat('other', ['c'])] });
    expect(splitClashes({ ...both, entries: asked }, [{ entry: 'flats', theirs: 'x' }], () => 'new').rest).toBe(
      undefined,
    );
  });

  it('is only what both named', () => {
    const { asked, rest } = splitClashes(both, [{ entry: 'flats', theirs: 'x', pieces: ['b'] }], () => 'new');
    expect(asked).toEqual([coat('flats', ['b'])]);
    expect(rest?.entries).toEqual([coat('new', ['a']), coat('other', ['c'])]);
  });

  it('is sent around what clashes, and asked about once', async () => {
    const disk = new Disk();
    const recorded: string[] = [];
    await disk.add(both);
    const send: OutboxParts['send'] = async (_house, _who, entries) => {
      if (entries.some(({ id }) => id === 'flats'))
        return { kind: 'refused', why: 'Ines logged it.', asks: { clashes: [{ entry: 'flats', theirs: 'x' }] } };
      recorded.push(...entries.map(({ id }) => id));
      return { kind: 'recorded' };
    };
    const parts = { store: disk, send, sendPhoto: async () => ({ kind: 'recorded' as const }), alone: NOBODY_ELSE };
    expect(await sendUnsent(parts, 'tobin')).toBe('empty');
    expect(recorded).toEqual(['other']);
    expect(disk.groups).toMatchObject([{ id: 'g', refused: 'Ines logged it.', entries: [{ id: 'flats' }] }]);
  });
});
