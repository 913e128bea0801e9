import type { AirClock } from '@/core/air/airClock';
import type { RoomState } from '@/core/log/roomState';
import { piecesToMend } from '@/core/readiness/mending';
import { prefillOf } from '@/core/readiness/prefillOf';
import type { RoomCoating, RoomTakeOff } from '@/core/readiness/roomParts';
import { type RoomStanding, whatNow } from '@/core/readiness/whatNow';
import { appliedCoats } from '@/core/standing/appliedCoats';
import { finished } from '@/core/standing/finished';
import { heldFaces, waitingFaces } from '@/core/standing/heldFaces';
import { jointFindings } from '@/core/standing/jointFindings';
import { sealedOf } from '@/core/standing/sealed';

/** What can be done in a room by its log, in an air that nobody touched a coat in. */
export function roomStanding(
  room: Pick<RoomTakeOff & RoomCoating, 'tally' | 'pieces' | 'coats' | 'method'> & { readonly state: RoomState },
  air: AirClock,
  now: number,
): RoomStanding {
  const { pieces, method, state } = room;
  const prefill = prefillOf(state, pieces);
  const untaped = heldFaces(pieces, state.acceptances, method.all);
  const toMend = piecesToMend({ state, pieces, prefill }, untaped);
  const marks = { held: untaped, toMend, touched: state.touched, more: jointFindings(state.items, pieces) };
  const applied = appliedCoats(pieces, method, state.applied, undefined, marks);
  const done = finished(state, applied, method, undefined);
  const held = waitingFaces(applied.stretches, untaped);
  return whatNow(
    { ...room, prefill, applied, done, held, sealed: sealedOf(state.sealings, pieces) },
    { air, slowness: new Map() },
    now,
  );
}
