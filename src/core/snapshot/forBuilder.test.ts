import { describe, expect, it } from 'vitest';
import { logEntry } from '../../../tests/houses/logEntry';
import { oneRoomSnapshot } from '../../../tests/houses/oneRoomSnapshot';
import { handOverOf } from '../inspect/handOver';
import { HouseLog } from '../log/houseLog';
import { logForBuilder, roomForBuilder } from './forBuilder';

const { roomWith } = oneRoomSnapshot("Den: 12' x 10' x 8'", 3_600_000);
const held = (more: object = {}) =>
  logEntry({ kind: 'held', payload: { why: 'Bob is late with his pipes', ...more }, at: 60_000 });

describe('what a builder is told of a room on hold', () => {
  it('is that it is, and the reason only where it was written for them', () => {
    const [plain, told] = [roomWith([held()]), roomWith([held({ forBuilder: true })])];
    expect(JSON.stringify(plain)).toContain('Bob');
    const shown = roomForBuilder(plain);
    expect(JSON.stringify(shown)).not.toContain('Bob');
    expect(shown.standing.now).toMatchObject({ kind: 'stuck', why: { kind: 'held', why: 'on hold' } });
    expect(shown.state.held?.why).toBe('on hold');
    expect(roomForBuilder(told)).toBe(told);
    const free = roomWith([]);
    expect(roomForBuilder(free)).toBe(free);
  });

  it('is the same in the list of what was done last', () => {
    const log = new HouseLog();
    log.add([held(), held({ forBuilder: true })]);
    const whys = () =>
      logForBuilder(log)
        .last(new Set(['held'] as const), 9)
        .map(({ payload }) => 'why' in payload && payload.why);
    expect(whys()).toEqual(['Bob is late with his pipes', 'on hold']);
    log.add([held()]);
    expect(whys()).toEqual(['on hold', 'Bob is late with his pipes', 'on hold']);
    expect(log.last(new Set(['held'] as const), 1)[0]?.payload).toMatchObject({ why: 'Bob is late with his pipes' });
  });
});

describe('what a builder is told of a problem', () => {
  const item = (payload: object, at = 60_000) => logEntry({ kind: 'item', payload, at });
  const textsOf = (payload: object) => {
    const shown = roomForBuilder(roomWith([item(payload)]));
    return shown.state.items.map(({ defect, text }) => [defect, text]);
  };

  it('is its kind and its place, and its words only where they were written for them', () => {
    expect(textsOf({ defect: 'ridge', text: 'Bob hit it' })).toEqual([['ridge', undefined]]);
    expect(textsOf({ text: 'Bob hit it' })).toEqual([[undefined, 'Problem']]);
    expect(textsOf({ text: 'Too dark to see', forBuilder: true })).toEqual([[undefined, 'Too dark to see']]);
  });

  it('is the same on the sheet that they sign, whoever prints it', () => {
    const sheet = JSON.stringify(handOverOf(roomWith([item({ defect: 'ridge', text: 'Bob hit it' })])));
    expect(sheet).toContain('ridge');
    expect(sheet).not.toContain('Bob');
  });

  it('leaves out captions of photos that nobody chose for the hand-over', () => {
    const [chosen, other] = [crypto.randomUUID(), crypto.randomUUID()];
    const pictured = (photo: string) =>
      logEntry({ kind: 'pictured', payload: { photos: [photo], text: `Photo ${photo}` }, at: 60_000 });
    const shown = logEntry({ kind: 'shown', payload: { photos: [chosen] }, at: 120_000 });
    const { photos } = roomForBuilder(roomWith([pictured(chosen), pictured(other), shown])).state;
    expect(photos.map(({ id, text }) => [id, text])).toEqual([
      [chosen, `Photo ${chosen}`],
      [other, undefined],
    ]);
  });
});
