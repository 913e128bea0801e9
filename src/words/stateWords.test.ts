import { describe, expect, it } from 'vitest';
import { COATED_CLASSES } from '../core/method/coat';
import { coatsFor } from '../core/method/coatsFor';
import { usualMethod } from '../core/method/resolveMethod';
import type { ClassNow, RoomNow } from '../core/readiness/whatNow';
import { CLASS_NAMES, classWords, isJoint, roomWords } from './stateWords';

const NOW = Date.parse('2031-05-06T06:52:00Z');
const [tape, fill, finish] = coatsFor('flat', usualMethod(4));
if (!tape || !fill || !finish) throw new Error('a flat has three coats');
const all = { coat: tape, part: 1, pieces: undefined };

describe('the words of a class', () => {
  it.each<[ClassNow, object]>([
    [
      { kind: 'go', coat: tape, share: 0, ready: [all] },
      { mark: 'go', title: 'Go: tape coat' },
    ],
    [
      { kind: 'go', coat: tape, share: 0.255, ready: [all] },
      { mark: 'go', title: 'Go: tape coat', detail: '26 % done' },
    ],
    [
      {
        kind: 'go',
        coat: fill,
        share: 0,
        ready: [
          { coat: fill, part: 0.4, pieces: ['w0#v1219.0@w0'] },
          { coat: finish, part: 0.25, pieces: ['c0#v1219.0@c0'] },
        ],
      },
      { mark: 'go', title: 'Go: fill coat', detail: 'on 40 % of it, finish coat on 25 %' },
    ],
    [
      { kind: 'wet', coat: tape, until: NOW + 690_000, allBy: NOW + 690_000, next: fill, crossed: true },
      { mark: 'wet', title: 'Flats firm in 12 min', detail: 'then fill coat' },
    ],
    [
      { kind: 'wet', coat: tape, until: NOW + 8_280_000, allBy: NOW + 15_480_000, next: undefined, crossed: false },
      { mark: 'wet', title: 'Tape coat wet', detail: 'until 9:10, all by 11:10' },
    ],
    [
      { kind: 'stuck', coat: tape, why: { kind: 'held', why: 'electrician' } },
      { mark: 'stuck', title: 'Stuck', detail: 'electrician' },
    ],
    [{ kind: 'dry' }, { mark: 'quiet', title: 'All coats dry' }],
    [{ kind: 'sanded' }, { mark: 'quiet', title: 'Sanded' }],
  ])('%j', (now, words) => {
    expect(classWords(now, NOW, 'UTC')).toEqual(words);
  });
});

describe('the words of a room', () => {
  it.each<[RoomNow, object]>([
    [{ kind: 'go' }, { mark: 'go', title: 'Go: coat' }],
    [{ kind: 'sand' }, { mark: 'go', title: 'Go: sand' }],
    [{ kind: 'check' }, { mark: 'go', title: 'Go: check' }],
    [{ kind: 'fix' }, { mark: 'go', title: 'Go: fix' }],
    [{ kind: 'seal' }, { mark: 'go', title: 'Go: seal' }],
    [{ kind: 'handOver' }, { mark: 'go', title: 'Go: hand over' }],
    [
      { kind: 'wet', until: NOW + 86_400_000, allBy: NOW + 86_400_000 },
      { mark: 'wet', title: 'Wet', detail: 'until tomorrow 6:55' },
    ],
    [
      { kind: 'stuck', why: { kind: 'cold' } },
      { mark: 'stuck', title: 'Stuck', detail: 'too cold for finishing' },
    ],
    [{ kind: 'done' }, { mark: 'quiet', title: 'Handed over' }],
    [{ kind: 'nothing' }, { mark: 'quiet', title: 'Nothing to coat' }],
  ])('%j', (now, words) => {
    expect(roomWords(now, NOW, 'UTC')).toEqual(words);
  });
});

describe('the names of classes', () => {
  it('are different for every class', () => {
    expect(new Set(COATED_CLASSES.map((kind) => CLASS_NAMES[kind])).size).toBe(COATED_CLASSES.length);
  });

  it('belong to joints, but for fasteners and the surface', () => {
    expect(COATED_CLASSES.filter((kind) => !isJoint(kind))).toEqual(['fasteners', 'surface']);
  });
});
