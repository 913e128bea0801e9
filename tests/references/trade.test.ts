import { describe, expect, it } from 'vitest';
import { coatTimes } from '@/core/drying/coatTimes';
import { wetMudFrom, wetMudOf } from '@/core/drying/wetMud';
import { conflictsIn } from '@/core/estimate/conflictsIn';
import { firstWalls } from '@/core/joints/firstWalls';
import { takeOff } from '@/core/joints/takeOff';
import { celsiusFromFahrenheit } from '@/core/measure/unit';
import type { CoatedClass } from '@/core/method/coat';
import { coatsFor } from '@/core/method/coatsFor';
import { resolveMethod, usualMethod } from '@/core/method/resolveMethod';
import { startingMethods } from '@/core/method/startingMethods';
import { coatName, toolWords, waitWords } from '@/words/coatWords';
import { roomOf } from '../houses/readRooms';

// common practice, no source: what finishers say of schools, mud and waiting, held one by one.
const AIR = { temperature: celsiusFromFahrenheit(70), humidity: 50 };
const methodWith = (choices: object) => resolveMethod({ unit: 'in', method: { level: 4, ...choices } });
const muds = (kind: Parameters<typeof coatsFor>[0], choices: object) =>
  coatsFor(kind, methodWith(choices)).map(({ mud }) => mud);

describe('corners', () => {
  it('dry last: every coat of an angle takes at least a quarter longer than the same coat on a flat', () => {
    for (const choices of [{}, { tools: 'trowel' }, { tools: 'boxes', angles: 'both', angleTool: 'corner' }]) {
      const method = methodWith(choices);
      for (const coat of coatsFor('angle', method)) {
        const flat = coatsFor('flat', method).find(({ key }) => key === coat.key);
        if (!flat) continue;
        const hours = (own: typeof coat) => coatTimes(wetMudOf(own, method), AIR).recoatHours;
        expect(hours(coat) / hours(flat), coat.id).toBeGreaterThanOrEqual(1.25 - 1e-9);
      }
    }
  });
});

describe('a last coat', () => {
  it('is left overnight at 70 °F and 50 %, in words and in hours', () => {
    const method = usualMethod(4);
    for (const kind of ['flat', 'butt', 'bead', 'fasteners'] as const) {
      const last = coatsFor(kind, method).at(-1);
      if (!last) throw new Error('level 4 coats everything');
      const { sandHours } = coatTimes(wetMudOf(last, method), AIR);
      expect(sandHours, kind).toBeGreaterThanOrEqual(10);
      expect(sandHours, kind).toBeLessThanOrEqual(17);
      expect(waitWords(last), kind).toContain('overnight,');
    }
  });
});

describe('setting mud', () => {
  it('dries before it sets as a thin skim and in hot dry wind, not as a bed of ordinary thickness', () => {
    const method = methodWith({ mud: 'setting' });
    const [bed] = coatsFor('flat', method);
    if (!bed) throw new Error('flats are taped');
    const troubles = (thickest: number, air: object) =>
      coatTimes(wetMudFrom(bed, thickest), { ...AIR, ...air }).troubles;
    for (const air of [{}, { temperature: 10, humidity: 30 }, { temperature: 27, humidity: 80 }])
      expect(troubles(1.6, air)).not.toContain('driesBeforeItSets');
    const skim = { mud: { kind: 'setting', minutes: 20 }, thickness: 0.3, substrate: 'mud' } as const;
    expect(coatTimes(skim, AIR).troubles).toContain('driesBeforeItSets');
    const thin = { mud: { kind: 'setting', minutes: 90 }, thickness: 0.8, substrate: 'mud' } as const;
    expect(coatTimes(thin, AIR).troubles).not.toContain('driesBeforeItSets');
    expect(coatTimes(thin, { temperature: 38, humidity: 8, speed: 4 }).troubles).toContain('driesBeforeItSets');
  });

  it('first gives screws drying mud from the second pass on', () => {
    expect(muds('fasteners', { mud: 'settingFirst' })).toEqual(['setting', 'all-purpose', 'topping']);
    expect(muds('flat', { mud: 'settingFirst' })).toEqual(['setting', 'setting', 'topping']);
    const { room, house } = roomOf("A 12' x 10' x 8'");
    const warned = (mud: 'settingFirst' | 'setting') =>
      conflictsIn({ unit: 'in', method: { level: 4, mud } }, [{ room, tally: takeOff(room, house).tally }], AIR)
        .map(({ id }) => id)
        .filter((id) => id === 'setting.thin.fasteners');
    expect(warned('settingFirst')).toEqual([]);
    expect(warned('setting')).toEqual(['setting.thin.fasteners']);
  });

  it('may be for the tape coat only', () => {
    expect(muds('butt', { mud: 'settingTape' })).toEqual(['setting', 'all-purpose', 'topping']);
  });
});

describe('mud by coat', () => {
  it('is thin under the tape, in angles above all', () => {
    for (const kind of ['flat', 'butt', 'angle', 'offAngle'] as const)
      expect(coatsFor(kind, usualMethod(4))[0]?.consistency).toBe('thin');
  });

  it('is never all-purpose on top of an angle unless one mud does for everything', () => {
    expect(muds('angle', {})).toEqual(['taping', 'topping', 'topping']);
    expect(new Set(muds('angle', { product: 'allPurpose' }))).toEqual(new Set(['all-purpose']));
    expect(new Set(muds('flat', { product: 'lightweight' }))).toEqual(new Set(['lightweight']));
  });
});

describe('schools', () => {
  it('lay mesh on flats, or on butts too, and paper in angles', () => {
    const tape = (choices: object) =>
      (['flat', 'butt', 'angle'] as const).map((kind) => coatsFor(kind, methodWith(choices))[0]?.tape);
    expect(tape({ tape: 'mesh' })).toEqual(['mesh', 'paper', 'paper']);
    expect(tape({ tape: 'meshButts' })).toEqual(['mesh', 'mesh', 'paper']);
  });

  it('coat only the other side of an angle where one side went ahead in the tape pass', () => {
    const sides = (choices: object) => coatsFor('angle', methodWith(choices)).map(({ key, side }) => [key, side]);
    expect(sides({ cover: 'oneSide' })).toEqual([
      ['tape', undefined],
      ['fill', 'second'],
    ]);
    expect(sides({ cover: 'oneSide', classes: { angle: { coats: 'two' } } })).toEqual([
      ['tape', undefined],
      ['fill', 'second'],
      ['finish', 'first'],
      ['finish', 'second'],
    ]);
  });

  it('of metric jointing give angles two coats in all, both sides at once with the corner tool', () => {
    const metric = startingMethods('mm').find(({ id }) => id === 'metric');
    const coats = coatsFor('angle', resolveMethod({ unit: 'mm', method: { level: 4, ...metric?.choices } }));
    expect(coats.map(({ key, side, covered }) => [key, side, covered])).toEqual([
      ['tape', undefined, true],
      ['fill', undefined, false],
    ]);
    expect(coats[1]?.tool.kind).toBe('corner');
  });

  it('centre a boxed butt with a 12 in knife, run the skim box at 2 and backed butts one lower', () => {
    const boxes = methodWith({ tools: 'boxes' });
    const lastTool = (kind: CoatedClass) =>
      coatsFor(kind, boxes)
        .slice(-1)
        .map((coat) => toolWords(coat, 'in'))[0];
    expect(lastTool('butt')).toContain('centred with a 12 in knife');
    expect(lastTool('flat')).toBe('12 in flat box, set to 2');
    expect(lastTool('backedButt')).toBe('12 in flat box, set to 1');
  });

  it('run ceiling sides first where they say so', () => {
    const names = coatsFor('angle', methodWith({ order: 'ceilingSides' })).map(coatName);
    expect(names).toEqual(['Tape coat', 'Fill coat, ceiling sides', 'Fill coat, wall sides']);
  });

  it('run opposite walls first: every corner of a room with an even number of walls has one of them', () => {
    for (const count of [4, 6, 8]) {
      const first = firstWalls(count);
      for (let wall = 0; wall < count; wall += 1)
        expect(first.includes(wall) !== first.includes((wall + 1) % count), `${count} walls`).toBe(true);
    }
    expect(firstWalls(5)).toEqual([0, 2]);
  });
});
