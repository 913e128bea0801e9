import { describe, expect, it } from 'vitest';
import { roomOf } from '../../../tests/houses/readRooms';
import { takeOff } from '../joints/takeOff';
import { loadList } from '../materials/loadList';
import type { MethodChoices } from '../room/methodSchema';
import { tasksOf } from '../work/tasksOf';
import { resolveMethod } from './resolveMethod';
import { roomCoats } from './roomCoats';
import { smallWorkOf } from './smallWork';

const { house, room } = roomOf("A 20' x 14' x 8', door 32x80 wall 1 bead, ceiling along");
const { tally } = takeOff(room, house);
const smallWith = (choices: MethodChoices = {}, level: 0 | 1 | 4 = 4) => {
  const method = resolveMethod({ unit: 'in', method: { level, ...choices } });
  const coats = roomCoats(tally, method);
  return { method, coats, small: smallWorkOf(tally, coats, method) };
};
const of = (kind: string, small: ReturnType<typeof smallWith>['small']) => small.filter((work) => work.kind === kind);

// common practice, no source: the rates and shares are ours
describe('small work', () => {
  it('pre-fills a twentieth of the butts with setting mud before the tape', () => {
    const [prefill] = of('prefill', smallWith().small);
    expect(prefill).toMatchObject({ round: 'tape', mud: 'setting' });
    expect(prefill?.amount).toBeCloseTo(tally.classes.butt.length / 20, 6);
    expect(prefill?.litres).toBeCloseTo((tally.classes.butt.length / 1000 / 20) * 0.08, 9);
  });

  it('flushes factory edges in the tape pass and with the first side, three-ways in it and with the last', () => {
    // A plain room: four corners under the ceiling. Common practice, no source: 60 % of the mud in the tape pass.
    const { small } = smallWith();
    expect(of('threeWay', small)).toMatchObject([
      { round: 'tape', amount: 4, litres: expect.closeTo(0.024, 9), mud: 'taping' },
      { round: 'finish', amount: 4, litres: expect.closeTo(0.016, 9), mud: 'topping' },
    ]);
    const { one, both } = tally.factoryEdgeInAngle;
    expect(one + both).toBeGreaterThan(0);
    const litres = (both * 0.08 + one * 0.02) / 1000;
    expect(of('factoryEdge', small)).toMatchObject([
      { round: 'tape', amount: one + both, litres: expect.closeTo(litres * 0.6, 9) },
      { round: 'fill', amount: one + both, litres: expect.closeTo(litres * 0.4, 9) },
    ]);
  });

  it('centres butts that are boxed, after every box coat, and no others', () => {
    expect(of('centring', smallWith().small)).toEqual([]);
    expect(of('centring', smallWith({ tools: 'boxes', centring: 'none' }).small)).toEqual([]);
    const boxed = of('centring', smallWith({ tools: 'boxes' }).small);
    expect(boxed.map(({ round }) => round)).toEqual(['fill', 'finish']);
    for (const { amount } of boxed) expect(amount).toBeCloseTo(tally.classes.butt.length, 6);
  });

  it('is none where nothing is coated over the tape', () => {
    expect(smallWith({}, 0).small).toEqual([]);
    expect(smallWith({}, 1).small.map(({ kind }) => kind)).toEqual(['prefill']);
  });

  it('has its minutes in the round it belongs to', () => {
    const { method, coats } = smallWith();
    const hours = (of: typeof tally, pass: string) =>
      tasksOf(of, coats, method).find((task) => task.pass === pass)?.hours ?? 0;
    const none = { ...tally, threeWays: 0, factoryEdgeInAngle: { one: 0, both: 0 } };
    // 40 three-ways, or 200 ft of factory edge, in an hour.
    expect(hours(tally, 'finish') - hours(none, 'finish')).toBeCloseTo(4 / 40, 9);
    const { one, both } = tally.factoryEdgeInAngle;
    expect(hours(tally, 'fill') - hours(none, 'fill')).toBeCloseTo((one + both) / 304.8 / 200, 9);
    expect(hours(tally, 'tape') - hours(none, 'tape')).toBeCloseTo(4 / 40 + (one + both) / 304.8 / 200, 9);
  });

  it('has its mud in what is ordered, by product and by coat', () => {
    const { method, coats, small } = smallWith();
    const list = loadList([{ tally, coats, method }], 'in');
    const setting = list.mud.find(({ product }) => product === 'setting');
    expect(setting?.net).toBeCloseTo(of('prefill', small)[0]?.litres ?? 0, 9);
    expect(setting?.packs).toBe(1);
    expect(list.mud.reduce((sum, { net }) => sum + net, 0)).toBeCloseTo(
      Object.values(list.mudByCoat).reduce((sum, litres) => sum + litres, 0),
      9,
    );
    const { one, both } = tally.factoryEdgeInAngle;
    expect(list.small).toMatchObject([
      { kind: 'prefill' },
      { kind: 'factoryEdge', amount: one + both },
      { kind: 'threeWay', amount: 4, litres: expect.closeTo(0.04, 9) },
    ]);
  });
});
