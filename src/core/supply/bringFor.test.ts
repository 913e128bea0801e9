import { describe, expect, it } from 'vitest';
import { logEntry as entry, INES, TOBIN } from '../../../tests/houses/logEntry';
import { oneRoomSnapshot } from '../../../tests/houses/oneRoomSnapshot';
import type { Entry } from '../log/entry';
import { NO_CATALOGUE, waresOf } from '../materials/catalogue';
import type { Good } from '../materials/goods';
import { allSteps } from '../measure/steps';
import type { MethodChoices } from '../room/methodSchema';
import { batchesFor } from './batchesFor';
import { bringFrom } from './bringFor';

const WARES = waresOf(NO_CATALOGUE, 'in');
const NOW = Date.parse('2031-05-06T11:00:00Z');
const own = oneRoomSnapshot("A 20' x 14' x 8', door 32x80 wall 1 bead", NOW);
const roomsWith = (entries: readonly Entry[], method: MethodChoices = {}) =>
  own.snapshotWith(entries, { level: 4, ...method });
let seconds = 0;
const hand = (work: string, day: string, who = INES) => {
  seconds += 1;
  return entry({ kind: 'assigned', at: NOW - 1e6 + seconds, payload: { work, people: [who], day } });
};
const coated = (kind: string, key: string, part = 1) =>
  entry({
    kind: 'coat',
    at: NOW - 9e7,
    payload: { class: kind, key, part, mud: { kind: 'drying' } } as Extract<Entry, { kind: 'coat' }>['payload'],
  });
const amounts = (entries: readonly Entry[], method?: MethodChoices) =>
  bringFrom(roomsWith(entries, method).rooms, '2031-05-06', WARES).map(
    ({ day, goods }) => [day, new Map<Good, number>(goods.map(({ good, amount }) => [good, amount]))] as const,
  );

describe('what to bring for a day', () => {
  it('is what the handed out rounds take, each on its day, and all rounds together are the load of the house', () => {
    const { coats, load } = { ...roomsWith([]).rooms[0], load: roomsWith([]).load };
    const rounds = [...new Set((coats ?? []).map(({ round }) => round))];
    const given = rounds.map((round, index) => hand(round, `2031-05-${String(7 + index).padStart(2, '0')}`));
    const days = amounts([...given, hand('seal', '2031-05-20'), hand('prefill', '2031-05-07')]);
    expect(days.map(([day]) => day)).toEqual([...days.map(([day]) => day)].sort());
    expect(days).toHaveLength(rounds.length + 1);
    for (const { product, net } of load.mud)
      expect(
        days.reduce((sum, [, own]) => sum + (own.get(product) ?? 0), 0),
        product,
      ).toBeCloseTo(net, 6);
    expect(days.at(-1)?.[1].get('sealer')).toBeCloseTo(load.sealer.net, 9);
    // Of tape the load takes off what stops short of corners and beads.
    const paper = days[0]?.[1].get('paper') ?? 0;
    expect(paper).toBeGreaterThanOrEqual(load.tape.net);
    expect(paper).toBeLessThan(load.tape.net * 1.1);
  });

  it('is less by what is on, nothing where it is done, and of an earlier day what was not', () => {
    const [whole] = amounts([hand('tape.flat', '2031-05-07')]);
    const [half] = amounts([coated('flat', 'tape', 0.5), hand('tape.flat', '2031-05-07')]);
    expect(half?.[1].get('paper')).toBeCloseTo((whole?.[1].get('paper') ?? 0) / 2, 6);
    expect(amounts([coated('flat', 'tape'), hand('tape.flat', '2031-05-07')])).toEqual([]);
    expect(amounts([hand('tape.flat', '2031-05-05')])).toEqual([['2031-05-06', whole?.[1]]]);
    expect(amounts([coated('flat', 'tape'), hand('tape.flat', '2031-05-05')])).toEqual([]);
  });

  it('is of the walls what the walls lack, whatever is on the ceiling', () => {
    const ceiling = own.taken.faces.find(({ kind }) => kind === 'ceiling')?.id ?? '';
    const given = hand('tape.flat@walls', '2031-05-07');
    const [before] = amounts([given]);
    const done = entry({
      kind: 'coat',
      at: NOW - 9e7,
      payload: { class: 'flat', key: 'tape', part: 1, mud: { kind: 'drying' }, faces: [ceiling] },
    });
    const [after] = amounts([done, given]);
    expect(before?.[1].get('paper')).toBeGreaterThan(0);
    expect(after?.[1].get('paper')).toBeCloseTo(before?.[1].get('paper') ?? 0, 6);
  });

  it('is no mud for whoever scrapes before a round', () => {
    const days = amounts([
      coated('flat', 'tape'),
      hand('fill.flat', '2031-05-08'),
      hand('between.fill', '2031-05-07', TOBIN),
    ]);
    expect(days.map(([day, goods]) => [day, goods.size > 0])).toEqual([
      ['2031-05-07', false],
      ['2031-05-08', true],
    ]);
  });
});

describe('batches of setting mud', () => {
  const batches = (entries: readonly Entry[], method: MethodChoices) =>
    allSteps(batchesFor(roomsWith(entries, method).rooms, WARES));

  it('are as many as the label asks for, none larger than one person uses up in time', () => {
    expect(batches([], {})).toEqual([]);
    const [tape] = batches([], { mud: 'settingTape' });
    if (!tape) throw new Error('the tape coat is set');
    expect(tape.round).toBe('tape');
    // At one pace a label's worth of the hours takes a label's worth of the mud.
    expect(tape.most).toBeCloseTo(Math.min(tape.litres, (tape.litres * tape.label) / (tape.hours * 60)), 9);
    expect(tape.count).toBe(Math.ceil((tape.hours * 60) / tape.label - 1e-9));
    expect(tape.count * tape.most).toBeGreaterThanOrEqual(tape.litres - 1e-9);
    expect((tape.count - 1) * tape.most).toBeLessThan(tape.litres);
  });

  it('are for what is still to be put on', () => {
    const [whole] = batches([], { mud: 'settingTape' });
    const [less] = batches([coated('angle', 'tape')], { mud: 'settingTape' });
    expect(less?.litres).toBeLessThan(whole?.litres ?? 0);
    const all = roomsWith([]).rooms[0]?.coats.filter(({ key }) => key === 'tape') ?? [];
    expect(
      batches(
        all.map((coat) => coated(coat.class, 'tape')),
        { mud: 'settingTape' },
      ),
    ).toEqual([]);
  });
});
