import { describe, expect, it } from 'vitest';
import { placeAt } from '@/ui/room/PlaceChooser';
import { offPage, onPage } from '@/ui/room/pagePlace';
import type { PieceMap } from '@/ui/room/pieceMap';
import { unrollRoom } from '@/ui/room/unroll';
import { roomOf } from '../../tests/houses/readRooms';
import { takeOff } from '../core/joints/takeOff';
import { COAT_KEYS, COATED_CLASSES } from '../core/method/coat';
import { DEFECT_KINDS, DEFECTS, defectsOn, usualMistakes } from '../core/method/defects';
import { DEFECT_WORDS, itemWords } from './defectWords';

describe('what can be wrong', () => {
  it('has a cause, a mend and a time for each kind', () => {
    for (const kind of DEFECT_KINDS)
      expect(Object.values(DEFECT_WORDS[kind]).every((words) => words.length > 3)).toBe(true);
    // Three of the trade's own rows: common practice, no source.
    expect(DEFECTS.bubble.mend).toBe('now');
    expect(DEFECTS.beadOut.mend).toBe('now');
    expect(DEFECTS.cutLine.mend).toBe('next');
  });

  it('is offered for the class that is tapped, its own kinds first, and no bead for a flat', () => {
    for (const kind of COATED_CLASSES) {
      const offered = defectsOn(kind);
      expect(new Set(offered).size).toBe(offered.length);
      for (const defect of offered) expect(DEFECTS[defect].on?.includes(kind) ?? true).toBe(true);
    }
    expect(defectsOn('bead')[0]).toBe('beadOut');
    expect(defectsOn('flat')).not.toContain('beadOut');
    expect(defectsOn(undefined)).toEqual(DEFECT_KINDS);
  });

  it('is told beforehand: two mistakes for every coat, each of which that class can have', () => {
    for (const kind of COATED_CLASSES)
      for (const key of COAT_KEYS) {
        const [one, other] = usualMistakes({ class: kind, key });
        expect(one).not.toBe(other);
        for (const defect of [one, other]) expect(defectsOn(kind), `${kind} ${key}`).toContain(defect);
      }
  });

  it('says where it is in the unit of the house', () => {
    const { room } = roomOf("Pantry 7'6 x 5' x 8'");
    const item = { defect: 'screwPop', face: 'w1', place: [304.8, 609.6], text: 'by the switch' } as const;
    expect(itemWords({ ...item, place: [304.8, 609.6] }, room, 'in')).toBe(
      'Screw pop, wall 2, 1 ft along, 2 ft down: by the switch',
    );
    expect(itemWords({ ...item, place: [304.8, 609.6] }, room, 'mm')).not.toMatch(/ft|in\b/);
    expect(itemWords({ defect: undefined, face: undefined, place: undefined, text: undefined }, room, 'in')).toBe(
      'See the photo',
    );
  });

  it('says what a knife found on that joint: half of what its end lifts, and 340 times that in width', () => {
    const { room } = roomOf("Pantry 7'6 x 5' x 8'");
    const item = { defect: 'crown', face: 'w1', place: undefined, text: undefined } as const;
    // A 12 in knife rocks on its middle and lifts by 1/8 in: a hump of 1/16 in, lost in 170 times that on each side.
    const rocks = { length: 304.8, width: 304.8, seen: { kind: 'rocks', lift: 3.175, pivot: 152.4 } } as const;
    expect(itemWords({ ...item, knife: rocks }, room, 'in')).toBe(
      'Crowned joint, 1/16 in high: 21 in wide over all, wall 2',
    );
    const light = { length: 304.8, width: 304.8, seen: { kind: 'light', gap: 1.5875 } } as const;
    expect(itemWords({ ...item, defect: 'hollow', knife: light }, room, 'in')).toBe('Hollow, 1/16 in deep, wall 2');
    const high = { length: 304.8, width: 304.8, seen: { kind: 'ends', gap: 6.35 } } as const;
    expect(itemWords({ ...item, knife: high }, room, 'in')).toContain('1/4 in high: cut it back');
  });
});

describe('a place on the room laid flat', () => {
  const { house, room } = roomOf("Hall: r 12' d 3'6 r 4' d 8' l 16' u 11'6, h 9', door 36x80 wall 2");
  const { faces, text, box } = unrollRoom(takeOff(room, house));
  const map: PieceMap = { faces, text, box, pieces: [] };

  it('is the place on its face, there and back', () => {
    for (const { face, place, label } of faces) {
      const back = offPage(place, label);
      expect(onPage(place, back)[0]).toBeCloseTo(label[0], 6);
      expect(onPage(place, back)[1]).toBeCloseTo(label[1], 6);
      const found = placeAt(map, label);
      expect(found?.face).toBe(face.id);
      expect(found?.place?.[0]).toBeCloseTo(back[0], -1);
    }
  });

  it('is none beside the room', () => {
    expect(placeAt(map, [box.x - 5000, box.y - 5000])).toBeUndefined();
  });
});
