import { EventEmitter } from 'node:events';
import { describe, expect, it } from 'vitest';
import type { TakenOff } from '../../core/joints/takeOff';
import { takeOff, whatIsKept } from '../../core/joints/takeOff';
import type { Room } from '../../core/room/schema';
import type { Question } from '../takeOffs/takeOffWorker';
import { type Thread, threadQueue } from './threadQueue';

const head = { unit: 'in', name: 'Test', hang: {}, method: { level: 4 } } as const;
const room = (name: string): Room => ({
  id: name,
  name,
  floor: 'Ground floor',
  outline: [
    [0, 0],
    [120, 0],
    [120, 96],
    [0, 96],
  ],
  height: 96,
  ceiling: { shape: 'flat' },
  openings: [],
});

/** Threads that answer by take-off, but for rooms that never end and rooms that fail. */
function threads() {
  const made: { ended: boolean }[] = [];
  const start = (): Thread<Question, TakenOff> => {
    const events = new EventEmitter();
    const own = { ended: false };
    made.push(own);
    return Object.assign(events, {
      postMessage: (question: Question) => {
        if (question.room.name === 'fails') events.emit('error', new Error('out of memory'));
        else if (question.room.name !== 'endless')
          events.emit('message', whatIsKept(takeOff(question.room, question.head)));
      },
      terminate: () => {
        own.ended = true;
      },
    });
  };
  return { made, start };
}

describe('take-offs in a thread', () => {
  it('answer in turn, and what does not end is cut off with its thread and keeps nobody from the others', async () => {
    const { made, start } = threads();
    const asked: string[] = [];
    const told: string[] = [];
    const aside = threadQueue(
      start,
      ({ room: { name } }, cutOff) => {
        asked.push(name);
        if (name === 'endless') queueMicrotask(cutOff);
        return () => undefined;
      },
      ({ message }) => told.push(message),
    );
    const names = ['one', 'endless', 'two', 'fails', 'three'];
    const tallies = await Promise.all(names.map((name) => aside({ room: room(name), head })));
    const whole = whatIsKept(takeOff(room('one'), head));
    expect(tallies).toEqual([whole, undefined, whole, undefined, whole]);
    expect(asked).toEqual(names);
    expect(told).toEqual(['out of memory']);
    expect(made).toEqual([{ ended: true }, { ended: true }, { ended: false }]);
  });

  it('take no notice of time that has run out once they have answered', async () => {
    const { made, start } = threads();
    let stopped = 0;
    const aside = threadQueue(
      start,
      () => () => {
        stopped += 1;
      },
      () => undefined,
    );
    await aside({ room: room('one'), head });
    expect(stopped).toBe(1);
    expect(made).toEqual([{ ended: false }]);
  });
});
