import { describe, expect, it } from 'vitest';
import { handedPasses } from '@/core/schedule/assignedWork';
import { logEntry as entry, TOBIN } from '../../../tests/houses/logEntry';
import { oneRoomSnapshot } from '../../../tests/houses/oneRoomSnapshot';
import { passStanding } from './passStanding';

const NOW = Date.parse('2031-05-06T11:00:00Z');
const DAY_MS = 86_400_000;
const { taken, roomWith, snapshotWith } = oneRoomSnapshot("A 12' x 10' x 8', door 32x80 wall 1 bead", NOW);

/** The fill of the flats, handed to Tobin, in a room that was taped ten days ago. */
function fillOfFlats(bubbles: number) {
  const taped = roomWith([])
    .coats.filter(({ key }) => key === 'tape')
    .map(({ class: kind, side }, index) =>
      entry({
        kind: 'coat',
        at: NOW - 10 * DAY_MS + index,
        payload: { class: kind, key: 'tape', ...(side ? { side } : {}), part: 1, mud: { kind: 'drying' } },
      }),
    );
  const flats = taken.pieces.filter((piece) => piece.class === 'flat');
  const wrong = flats
    .slice(0, bubbles)
    .map(({ id }) => entry({ kind: 'item', at: NOW - DAY_MS, payload: { defect: 'bubble', piece: id } }));
  const given = { work: 'fill.flat', people: [TOBIN], day: '2031-05-06' };
  const handed = entry({ kind: 'assigned', at: NOW - DAY_MS, payload: given, role: 'lead' });
  const [pass] = handedPasses(snapshotWith([...taped, ...wrong, handed]).rooms);
  if (!pass) throw new Error('it is handed out');
  return { flats: flats.length, standing: passStanding(pass) };
}

describe('a pass of which something must not be covered', () => {
  it('goes on beside that, and is there to mend it where there is nothing else', () => {
    const { flats, standing: whole } = fillOfFlats(0);
    expect(flats).toBeGreaterThan(1);
    expect(whole).toMatchObject({ kind: 'go', coats: [{ coat: { id: 'flat.fill' }, pieces: undefined }] });
    const { standing: rest } = fillOfFlats(1);
    expect(rest.kind === 'go' ? rest.coats.map(({ pieces }) => pieces?.length) : rest).toEqual([flats - 1]);
    expect(fillOfFlats(flats).standing).toEqual({ kind: 'go', coats: [] });
  });
});
