import { describe, expect, it } from 'vitest';
import { logEntry } from '../../../tests/houses/logEntry';
import { oneRoomSnapshot } from '../../../tests/houses/oneRoomSnapshot';
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
