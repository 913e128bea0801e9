import { describe, expect, it } from 'vitest';
import { HouseLog } from '@/core/log/houseLog';
import { blocksIn } from '@/core/schedule/roomBlocks';
import { TOBIN } from '../../../tests/houses/logEntry';
import { coat, hoursIn, recordedRoom, type Sent } from '../../../tests/houses/recordedRoom';
import { lastDone } from './lastDone';

const { room } = recordedRoom([], 0);
/** The flats of a block of the room, as an entry names them. */
const flatsOn = (block: 'walls' | 'ceiling') =>
  blocksIn(room)
    ?.coat('flat.tape', block)
    ?.pieces.map(({ id }) => ({ id })) ?? [];

describe('what was done a moment ago', () => {
  it.each<readonly [words: string, sent: Sent, said: string]>([
    ['all of a class', coat(10, 'flat.tape'), 'tape'],
    ['its walls', coat(10, 'flat.tape', { pieces: flatsOn('walls') }), 'tape, walls'],
    ['its ceiling', coat(10, 'flat.tape', { pieces: flatsOn('ceiling') }), 'tape, ceiling'],
    ['one joint of it', coat(10, 'flat.tape', { pieces: flatsOn('walls').slice(0, 1) }), 'tape, in part'],
    ['half of it', coat(10, 'flat.tape', { part: 0.5 }), 'tape, in part'],
    ['one face of it', coat(10, 'flat.tape', { faces: ['w0'] }), 'tape, in part'],
  ])('is called by what it was: %s', (_words, sent, said) => {
    const { room: own, log } = recordedRoom([sent], 10);
    expect(lastDone(log, [own], TOBIN, hoursIn(10))?.words).toBe(`${own.room.name}, ${said}`);
  });

  it.each([
    ['half a minute after it was recorded', 0.5, 30_000],
    ['a minute after it was recorded', 1, undefined],
  ])('can be undone after the signal is back: %s', (_words, minutes, left) => {
    const { room: own, log } = recordedRoom([coat(10, 'flat.tape')], 10);
    const [entry] = log.last(new Set(['coat'] as const), 1);
    if (!entry) throw new Error('a coat was logged');
    // Logged at ten without a signal, sent half an hour later.
    const recordedAt = hoursIn(10.5);
    const sent = new HouseLog();
    sent.add([{ ...entry, recordedAt: new Date(recordedAt).toISOString() }]);
    expect(lastDone(sent, [own], TOBIN, recordedAt + minutes * 60_000)?.left).toBe(left);
  });
});
