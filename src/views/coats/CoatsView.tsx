import type { LevelPrice } from '@/core/estimate/priceOfLevel';
import type { Answer } from '@/core/house/answer';
import type { Level } from '@/core/house/level';
import type { Room } from '@/core/house/schema';
import type { JointClass } from '@/core/joints/joint';
import { COATED_CLASSES, type CoatedClass } from '@/core/method/coat';
import { coatsFor } from '@/core/method/coatsFor';
import type { Site } from '@/core/readiness/siteOf';
import { SectionGlyph } from '@/ui/SectionGlyph';
import { CLASS_NAMES, isJoint } from '@/ui/state/words';
import { LevelChoice } from './LevelChoice';
import { RoomLevels } from './RoomLevels';

interface CoatsViewProps {
  readonly houseId: string;
  readonly version: number;
  readonly site: Site;
  readonly roomVersions: Readonly<Record<string, number>>;
  readonly prices: readonly LevelPrice[];
  readonly mayEdit: boolean;
  readonly saveLevel: (input: { house: string; version: number; level: Level }) => Promise<Answer<null>>;
  readonly saveRoom: (input: {
    house: string;
    version: number;
    room: Room;
  }) => Promise<Answer<{ readonly kind: 'saved' | 'stale' }>>;
}

/** Choosing the level of finish, with its price for this house, and the coat ladder that follows from it. */
export function CoatsView({
  houseId,
  version,
  site,
  roomVersions,
  prices,
  mayEdit,
  saveLevel,
  saveRoom,
}: CoatsViewProps) {
  const kinds = COATED_CLASSES.filter((kind) => isPresent(kind, site));
  const level = site.house.method.level;
  return (
    <main className="flex-1 space-y-5 p-4 lg:px-5">
      <section className="space-y-3">
        <div>
          <h1>Level of finish</h1>
          <p className="text-muted">
            What each level takes of this house, by default rates. Rooms with a level of their own keep it.
          </p>
        </div>
        <LevelChoice
          houseId={houseId}
          version={version}
          level={level}
          prices={prices}
          unit={site.house.unit}
          mayEdit={mayEdit}
          saveLevel={saveLevel}
        />
      </section>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 lg:grid-cols-[minmax(0,1fr)_20rem]">
        <section className="sheet overflow-x-auto p-4 sm:p-5">
          <h2>Coat ladder at level {level}</h2>
          <p className="mb-2 text-muted">Three coats by hand with widening knives, drying mud throughout.</p>
          {level === 0 && <p>Level 0: nothing is taped or coated.</p>}
          {kinds.map((kind) => (
            <Ladder key={kind} kind={kind} level={level} />
          ))}
        </section>
        <section className="sheet p-4 sm:p-5">
          <h2>Room by room</h2>
          <RoomLevels
            houseId={houseId}
            houseLevel={level}
            rooms={site.rooms.map(({ room }) => ({ room, version: roomVersions[room.id] ?? 1 }))}
            mayEdit={mayEdit}
            saveRoom={saveRoom}
          />
        </section>
      </div>
    </main>
  );
}

function isPresent(kind: CoatedClass, site: Site): boolean {
  if (isJoint(kind)) return site.tally.classes[kind satisfies JointClass].count > 0;
  return kind === 'fasteners' ? site.tally.fasteners > 0 : site.rooms.length > 0;
}

function Ladder({ kind, level }: { readonly kind: CoatedClass; readonly level: Level }) {
  const coats = coatsFor(kind, { level });
  if (coats.length === 0) return null;
  return (
    <div className="grid gap-x-5 gap-y-2 border-t border-base-300 py-3 md:grid-cols-[9rem_1fr]">
      <div>
        <h3 className="font-semibold">{CLASS_NAMES[kind]}</h3>
        <SectionGlyph kind={kind} layers={coats.map(({ side }) => ({ phase: 'dry', side }))} className="h-14 w-30" />
      </div>
      <ol className="grid gap-3 sm:grid-cols-3">
        {coats.map((coat) => (
          <li key={`${coat.key} ${coat.side}`} className="text-sm">
            <p className="font-semibold">{coat.name}</p>
            <p>
              {coat.tool}, {coat.consistency} {coat.mud} mud
            </p>
            <p className="text-muted">It {coat.purpose}.</p>
          </li>
        ))}
      </ol>
    </div>
  );
}
