import { describe, expect, it } from 'vitest';
import { roomOf } from '../../../tests/houses/readRooms';
import { airClock } from '../air/airClock';
import type { SourcedAir } from '../air/roomAir';
import { coatTimes } from '../drying/coatTimes';
import { wetMudOf } from '../drying/wetMud';
import { takeOff, whatIsKept } from '../joints/takeOff';
import type { Entry } from '../log/entry';
import { stateOf } from '../log/stateOf';
import { usualMethod } from '../method/resolveMethod';
import { roomCoats } from '../method/roomCoats';
import { houseSnapshot } from '../snapshot/houseSnapshot';
import { nextChange } from '../snapshot/nextChange';
import { catchUps } from './catchUp';
import { wetCoats } from './wetCoats';

const HOUR = 3_600_000;
const READ: SourcedAir = {
  from: 0,
  air: { temperature: (70 - 32) / 1.8, humidity: 50 },
  source: { kind: 'house' },
  readAt: 0,
};
const { house, room } = roomOf("A 12' x 10' x 8', window 36x48 @36 bead");
const takenOff = takeOff(room, house);
const COATS = roomCoats(takenOff.tally, usualMethod(4));

/** Every coat of a round but those of some classes, logged at an hour. */
const round = (name: string, hour: number, but: readonly string[] = []): readonly Entry[] =>
  COATS.filter((coat) => coat.round === name && !but.includes(coat.class)).map((coat, index) => ({
    id: `00000000-0000-4000-8000-${String(hour * 100 + index).padStart(12, '0')}`,
    room: room.id,
    at: new Date(hour * HOUR).toISOString(),
    kind: 'coat',
    payload: {
      class: coat.class,
      key: coat.key,
      ...(coat.side ? { side: coat.side } : {}),
      part: 1,
      mud: { kind: 'drying' },
    },
    seq: hour * 100 + index,
    by: '00000000-0000-4000-8000-00000000000a',
    role: 'lead',
    recordedAt: new Date(hour * HOUR).toISOString(),
  }));
const siteAt = (entries: readonly Entry[], hour: number) => {
  const snapshot = houseSnapshot(
    house,
    [room],
    stateOf(entries),
    () => airClock([READ]),
    hour * HOUR,
    () => whatIsKept(takenOff),
  );
  const [only] = snapshot.rooms;
  if (!only) throw new Error('the house has a room');
  return { snapshot, room: only };
};
const offersAt = (entries: readonly Entry[], hour: number) => catchUps(siteAt(entries, hour).room, hour * HOUR);

describe('a class that lags its room', () => {
  it('is offered setting mud, with the hours won: a bead forgotten at the tape round', () => {
    const [offer, ...more] = offersAt(round('tape', 0, ['bead']), 30);
    expect(more).toEqual([]);
    expect(offer).toMatchObject({ class: 'bead', coat: { key: 'tape' }, setting: { minutes: 45 } });
    const bead = COATS.find((coat) => coat.class === 'bead' && coat.key === 'tape');
    const drying = bead ? coatTimes(wetMudOf(bead, usualMethod(4)), READ.air).recoatHours : 0;
    // common practice, no source: recoat at one and a half times the label
    expect(offer?.setting?.hoursWon).toBeCloseTo(drying - (1.5 * 45) / 60, 6);
    // A fan at 1 m/s dries 1.879 times as fast.
    expect(offer?.fanHours).toBeCloseTo(drying * (1 - 1 / (1 + 0.0782 / 0.089)), 6);
  });

  it('is none while the others of its round are wet: nothing is held up yet', () => {
    expect(offersAt(round('tape', 0, ['bead']), 5)).toEqual([]);
  });

  it('is none while others lag as well', () => {
    expect(offersAt(round('tape', 0, ['bead', 'flat']), 30)).toEqual([]);
    expect(offersAt([], 0)).toEqual([]);
    expect(offersAt(round('tape', 0), 30)).toEqual([]);
  });

  it('is offered on a last coat too: setting mud where it is thick enough, a fan beside it', () => {
    const log = [...round('tape', 0), ...round('fill', 30), ...round('finish', 70, ['bead'])];
    const [offer] = offersAt(log, 110);
    expect(offer).toMatchObject({ class: 'bead', coat: { key: 'finish' } });
    const bead = COATS.find((coat) => coat.class === 'bead' && coat.key === 'finish');
    const drying = bead ? coatTimes(wetMudOf(bead, usualMethod(4)), READ.air).sandHours : 0;
    expect(offer?.fanHours).toBeCloseTo(drying * (1 - 1 / (1 + 0.0782 / 0.089)), 6);
    // Sanded next, it has to be dry in either mud.
    if (offer?.setting) expect(offer.setting.hoursWon).toBeGreaterThanOrEqual(2);
  });

  it('is still offered when the others have gone on', () => {
    const log = [...round('tape', 0, ['bead']), ...round('fill', 30, ['bead'])];
    expect(offersAt(log, 31).map((offer) => offer.class)).toEqual(['bead']);
  });
});

describe('what is wet', () => {
  it('is told coat by coat with how thick it lies, as the method puts it on where the log does not say', () => {
    const { room: snapshot } = siteAt(round('tape', 0), 1);
    const wet = wetCoats(snapshot, HOUR);
    expect(wet.map(({ coat }) => coat.class).sort()).toEqual(['angle', 'bead', 'fasteners', 'flat']);
    const tape = wet.find(({ coat }) => coat.class === 'flat');
    expect(tape?.thickness).toBeCloseTo(25.4 / 16, 6);
    // The handbook's 17 h at 70 °F and 50 %.
    expect(Number(tape?.until) / HOUR).toBeCloseTo(17, 6);
    expect(tape?.water).toBeCloseTo(16 / 17, 6);
  });

  it('changes by itself when its next coat is ready', () => {
    const { snapshot } = siteAt(round('tape', 0), 1);
    const ready = snapshot.rooms.flatMap(({ standing }) =>
      standing.classes.flatMap(({ now }) => (now.kind === 'wet' ? [now.until] : [])),
    );
    expect(nextChange(snapshot, HOUR)).toBe(Math.min(...ready));
    expect(nextChange(siteAt([], 1).snapshot, HOUR)).toBeUndefined();
  });
});
