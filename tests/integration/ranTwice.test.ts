import { randomUUID } from 'node:crypto';
import { aroundAll, beforeAll, describe, expect, it } from 'vitest';
import { takeOff } from '@/core/joints/takeOff';
import type { NewEntry } from '@/core/log/entry';
import { HouseLog } from '@/core/log/houseLog';
import { demoHouse } from '@/db/demo/demoHouse';
import { appendEntries, listEntries } from '@/db/entries';
import { inFirm } from '@/db/firm';
import { addHouse } from '@/db/houses';
import { models } from '@/db/models';
import { addPerson, type Member } from '@/db/people';
import { asTestFirm, newFirm } from './asTestFirm';

aroundAll(asTestFirm);
let lead: Member;
let other: { readonly id: string; readonly name: string; readonly role: Member['role'] };
beforeAll(async () => {
  lead = await newFirm();
  const added = await inFirm(lead.firm, () => addPerson(`Ines ${randomUUID()}`, 'finisher', 'a long password'));
  if (!added) throw new Error('the name is new');
  other = added;
});
const within = <Value>(run: () => Promise<Value>) => inFirm(lead.firm, run);
const newHouse = () => within(() => addHouse(demoHouse(), 'UTC'));

const tape = (seen: number | undefined, pieces?: readonly string[]): NewEntry => ({
  id: randomUUID(),
  room: 'pantry',
  at: '2031-05-06T11:00:00.000Z',
  kind: 'coat',
  payload: {
    class: 'flat',
    key: 'tape',
    part: 1,
    mud: { kind: 'drying' },
    ...(seen === undefined ? {} : { seen }),
    ...(pieces ? { pieces: pieces.map((id) => ({ id })) } : {}),
  },
});
const [pantry] = demoHouse().rooms.filter(({ id }) => id === 'pantry');
const flats = pantry ? takeOff(pantry, demoHouse()).pieces.filter((piece) => piece.class === 'flat') : [];
const [one, two] = flats.map(({ id }) => id);

describe('a coat that two log, both without a signal', () => {
  it('is recorded once: the second is told who was first', async () => {
    const house = await newHouse();
    const said = (entry: NewEntry, by = lead as typeof other) => within(() => appendEntries(house, by, [entry]));
    expect((await said(tape(0), other)).kind).toBe('recorded');
    const mine = tape(0);
    const answer = await said(mine);
    const [first] = await within(() => listEntries(house));
    expect(answer).toMatchObject({
      kind: 'ran',
      clashes: [{ entry: mine.id, theirs: first?.id, room: 'pantry', by: other.id, at: '2031-05-06T11:00:00.000Z' }],
    });
    expect(await within(() => listEntries(house))).toHaveLength(1);
    // Who has seen the first one and logs it means a second coat; so does a script that says nothing of it.
    expect((await said(tape(1))).kind).toBe('recorded');
    expect((await said(tape(undefined))).kind).toBe('recorded');
  });

  it('is asked about where one person logs it on two phones, and not where the second phone knew of the first', async () => {
    const house = await newHouse();
    const said = (entry: NewEntry) => within(() => appendEntries(house, lead, [entry]));
    const first = tape(0);
    expect((await said(first)).kind).toBe('recorded');
    const again = tape(0);
    expect(await said(again)).toMatchObject({
      kind: 'ran',
      clashes: [{ entry: again.id, theirs: first.id, by: lead.id, own: true }],
    });
    const knowing = { ...tape(0), payload: { ...tape(0).payload, knew: [first.id] } } as NewEntry;
    expect((await said(knowing)).kind).toBe('recorded');
    // The same sent again is the same.
    expect((await said(knowing)).kind).toBe('recorded');
    expect(await within(() => listEntries(house))).toHaveLength(2);
  });

  it('is another one on other pieces, and after the first was taken back', async () => {
    const house = await newHouse();
    const said = (entry: NewEntry, by = lead as typeof other) => within(() => appendEntries(house, by, [entry]));
    if (!one || !two) throw new Error('the pantry has two flats');
    const first = tape(0, [one]);
    expect((await said(first, other)).kind).toBe('recorded');
    expect((await said(tape(0, [two]))).kind).toBe('recorded');
    expect((await said(tape(0, [one]))).kind).toBe('ran');
    for (const { id } of await within(() => listEntries(house))) {
      const taken: NewEntry = { id: randomUUID(), room: null, at: first.at, kind: 'void', payload: { target: id } };
      await said(taken);
    }
    expect((await said(tape(0, [one]))).kind).toBe('recorded');
  });

  it('is asked about only where both were', async () => {
    const house = await newHouse();
    const said = (entry: NewEntry, by = lead as typeof other) => within(() => appendEntries(house, by, [entry]));
    if (!one || !two) throw new Error('the pantry has two flats');
    expect((await said(tape(0, [one]), other)).kind).toBe('recorded');
    expect(await said(tape(0, [one, two]))).toMatchObject({ kind: 'ran', clashes: [{ pieces: [one] }] });
    const whole = await said(tape(0, [one]));
    expect(whole).toMatchObject({ kind: 'ran' });
    expect(whole.kind === 'ran' && whole.clashes[0]?.pieces).toBeUndefined();
  });

  it('is replaced by who keeps their own: of the same coat, and by nobody else’s', async () => {
    const house = await newHouse();
    const said = (entries: readonly NewEntry[], by = other) => within(() => appendEntries(house, by, entries));
    const [theirs, mine] = [tape(undefined), tape(undefined)];
    await said([theirs], lead as typeof other);
    const instead = (more: object): NewEntry => ({
      id: randomUUID(),
      room: null,
      at: theirs.at,
      kind: 'void',
      payload: { target: theirs.id, ...more },
    });
    expect((await said([instead({})])).kind).toBe('notYours');
    expect((await said([instead({ for: mine.id })])).kind).toBe('notYours');
    const fill = { ...mine, payload: { ...mine.payload, key: 'fill' } } as NewEntry;
    expect((await said([instead({ for: mine.id }), fill])).kind).toBe('notYours');
    expect((await said([instead({ for: mine.id }), mine])).kind).toBe('recorded');
    const log = new HouseLog();
    log.add(await within(() => listEntries(house)));
    expect(
      log
        .states()
        .get('pantry')
        ?.applied.map(({ id }) => id),
    ).toEqual([mine.id]);
  });

  it('stays where it was recorded more than a week ago, whoever logs the same now', async () => {
    const house = await newHouse();
    const said = (entries: readonly NewEntry[], by = other) => within(() => appendEntries(house, by, entries));
    const [theirs, mine] = [tape(undefined), tape(undefined)];
    await said([theirs], lead as typeof other);
    await within(() =>
      models().sequelize.query("UPDATE entries SET recorded_at = now() - interval '8 days' WHERE id = $1", {
        bind: [theirs.id],
      }),
    );
    const instead: NewEntry = {
      id: randomUUID(),
      room: null,
      at: theirs.at,
      kind: 'void',
      payload: { target: theirs.id, for: mine.id },
    };
    expect((await said([instead, mine])).kind).toBe('notYours');
  });
});
