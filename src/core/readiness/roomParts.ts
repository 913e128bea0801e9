import type { RoomAirClock } from '../air/houseAir';
import type { Piece } from '../joints/pieces';
import type { KeptFace } from '../joints/takeOff';
import type { Tally } from '../joints/tally';
import type { RoomState } from '../log/roomState';
import type { JointsWithMore } from '../method/extraCoat';
import type { Method } from '../method/resolveMethod';
import type { RoomCoat } from '../method/roomCoats';
import type { Level } from '../room/level';
import type { Room } from '../room/schema';
import type { AppliedCoats } from '../standing/appliedCoats';
import type { Finished } from '../standing/finished';
import type { Sealed } from '../standing/sealed';
import type { Task } from '../work/tasksOf';
import type { DryingClock } from './coatClock';
import type { PrefillStanding } from './prefillOf';
import type { LearnedDrying } from './touchChecks';

/** A room with its joints as they are counted. */
export interface RoomTakeOff {
  readonly room: Room;
  readonly tally: Tally;
  readonly pieces: readonly Piece[];
  readonly faces: readonly KeptFace[];
  /** Too large to be taken off: then its tally is empty. */
  readonly tooLarge: boolean;
}

/** The coats that a room gets, and by which method. */
export interface RoomCoating {
  readonly level: Level;
  readonly method: Method;
  readonly coats: readonly RoomCoat[];
  readonly tasks: readonly Task[];
}

/** What was done in a room, laid beside what its method asks for. */
export interface RoomRecord {
  readonly state: RoomState;
  readonly applied: AppliedCoats;
  /** The faces, by id, whose tape waits for the hanger or for being accepted. */
  readonly held: ReadonlySet<string>;
  /** The pieces, by id, that must be fixed before anything goes over them. */
  readonly toMend: ReadonlySet<string>;
  /** Gaps that are filled before the tape. */
  readonly prefill: PrefillStanding;
  /** What knife checks ask of single joints beyond their class. */
  readonly more: JointsWithMore;
  /** What is sanded and signed off. */
  readonly done: Finished;
  readonly sealed: Sealed;
}

/** The air of a room, and how fast coats dry in it. */
export interface RoomAir {
  readonly air: RoomAirClock;
  /** From touch checks. */
  readonly learned: LearnedDrying;
  /** Air and what was learned together: the clock of every coat in the room. */
  readonly clock: DryingClock;
}
