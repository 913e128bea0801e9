import { describe, expect, it } from 'vitest';
import { NO_CATALOGUE, waresOf } from '@/core/materials/catalogue';
import { handedPasses } from '@/core/schedule/assignedWork';
import { openWork } from '@/core/schedule/planInputOf';
import { goodsOfItems } from '@/core/supply/goodsOfItems';
import { logEntry as entry, TOBIN } from '../../../tests/houses/logEntry';
import { oneRoomSnapshot } from '../../../tests/houses/oneRoomSnapshot';
import { coat, hoursIn, recordedRoom, type Sent, WITH_BUTTS } from '../../../tests/houses/recordedRoom';
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
  const [pass] = handedPasses(snapshotWith([...taped, ...wrong, handed]).rooms, '2031-05-06');
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

describe('boxed butts that were handed out with their round', () => {
  const head = { method: { level: 4, tools: 'boxes', order: 'boxes' } };
  const sent: readonly Sent[] = [
    coat(0, 'butt.tape'),
    coat(0, 'flat.tape'),
    [39, 'assigned', { work: 'fill', people: [TOBIN], day: '2031-05-06' }],
    coat(40, 'butt.fill'),
  ];
  const centringAt = (hours: number, more: readonly Sent[] = []) =>
    handedPasses([recordedRoom([...sent, ...more], hours, { room: WITH_BUTTS, head }).room], '2031-05-06').filter(
      ({ task }) => task.pass === 'centring',
    );

  it('are a job of their own: stiff two hours after they were boxed, then to be centered, then gone', () => {
    const [waiting] = centringAt(41);
    expect(waiting).toMatchObject({ people: [TOBIN], day: '2031-05-06' });
    expect(waiting && passStanding(waiting)).toMatchObject({ kind: 'wet' });
    const [ready] = centringAt(42.5);
    expect(ready && passStanding(ready)).toEqual({ kind: 'go', coats: [] });
    expect(centringAt(43, [[42.5, 'centered', { round: 'fill' }]])).toEqual([]);
  });

  it('take as long on the list as in the plan, and no mud but what is left in the pan', () => {
    const { room: own } = recordedRoom(sent, 41, { room: WITH_BUTTS, head });
    const planned = openWork(own, hoursIn(41)).find(({ work }) => work === 'centring.fill');
    expect(centringAt(41)[0]?.task.hours).toBeCloseTo(planned?.hours ?? 0, 9);
    expect(goodsOfItems(own, waresOf(NO_CATALOGUE, 'in'), hoursIn(41)).get('room/centring.fill')).toEqual([]);
  });
});
