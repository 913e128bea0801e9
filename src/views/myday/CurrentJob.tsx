import Link from 'next/link';
import { loggedMud, wetMudOf } from '@/core/drying/wetMud';
import type { CoatedClass } from '@/core/method/coat';
import { BETWEEN } from '@/core/method/ladderFor';
import type { RoomSite, Site } from '@/core/readiness/siteOf';
import type { ReadyCoat } from '@/core/readiness/whatNow';
import type { Block } from '@/core/work/block';
import type { Task } from '@/core/work/tasksOf';
import { NoteItem } from '@/ui/NoteItem';
import { SectionGlyph } from '@/ui/section/SectionGlyph';
import { wayOfRooms } from '@/ui/section/sectionsOf';
import { BLOCK_NAMES, CLASS_NAMES, PASS_NAMES } from '@/ui/state/words';
import { inUnit } from '@/ui/unitWords';
import { type CoatToLog, DoneButton } from './DoneButton';
import { coatAmount, facesOfPieces, listWords, sidesToRun, smallWorkWords } from './jobWords';

/** The job that can go now: each class with its section, how much of it, with what, and when it is good. */
export function CurrentJob({
  houseId,
  site,
  room,
  task,
  coats,
  people,
  block,
  now,
  timeZone,
  works,
}: {
  readonly houseId: string;
  readonly site: Site;
  readonly room: RoomSite;
  readonly task: Task;
  /** Those that can go on now; none where the pass is sanding. */
  readonly coats: readonly ReadyCoat[];
  /** To whom it was handed. */
  readonly people: readonly string[];
  /** Only what lies there. */
  readonly block: Block | undefined;
  readonly now: number;
  readonly timeZone: string;
  readonly works: boolean;
}) {
  const { unit } = site.house;
  const { name, id } = room.room;
  const first = coats[0]?.coat;
  const way = wayOfRooms(site)(room);
  return (
    <section className="sheet space-y-4 p-5" aria-label="Now">
      <div>
        <p className="text-muted">
          Now, {name}
          {block && `: ${BLOCK_NAMES[block]} only`}
        </p>
        <h2 className="text-2xl">
          {isAfterCoats(task.pass)
            ? AFTER_COATS[task.pass].title
            : `${PASS_NAMES[task.pass]} coat on ${listWords(coats.map(({ coat }) => CLASS_NAMES[coat.class].toLowerCase()))}`}
        </h2>
      </div>
      <ul className="space-y-3 font-medium">
        {coats.map(({ coat, part, pieces }) => (
          <li key={`${coat.class} ${coat.side}`} className="grid grid-cols-[6rem_1fr] items-center gap-3">
            <ClassGlyph kind={coat.class} room={room} way={way} />
            <span>
              {coatAmount(coat, room, unit, part)} with the {inUnit(coat.tool, unit)}
              {pieces && (
                <span className="block text-sm">
                  Only on {facesOfPieces(pieces, room)}
                  {block ? '' : ': the rest is not ready'}.
                </span>
              )}
              {coat.side && <span className="block text-sm">{capital(sidesToRun(coat, room) ?? '')}</span>}
            </span>
          </li>
        ))}
        {task.pass === 'check' && <li>Lamp along every wall, then the ceiling; mark what shows</li>}
        {task.pass === 'seal' && <li>Corner to corner, paper and mud together; only what will be painted</li>}
        {task.pass === 'sand' && (
          <>
            {room.standing.classes.map(({ class: kind }) => (
              <li key={kind} className="grid grid-cols-[6rem_1fr] items-center gap-3">
                <ClassGlyph kind={kind} room={room} way={way} />
                {CLASS_NAMES[kind]}
              </li>
            ))}
            <li>Mask on, room shut off; stop where tape appears</li>
          </>
        )}
      </ul>
      {task.small.length > 0 && (
        <p className="text-sm">Beside it: {listWords(task.small.map((work) => smallWorkWords(work, unit)))}.</p>
      )}
      {first && (
        <p className="text-sm text-muted">
          {task.pass !== 'tape' &&
            task.pass !== 'skim' &&
            `First: ${BETWEEN[room.method.all.between].name.toLowerCase()}. `}
          Good when: {inUnit(first.check, unit)}.
        </p>
      )}
      {task.pass === 'check' && (
        <Link href={`/h/${houseId}/sand`} className="btn btn-primary btn-xl h-auto w-full py-5 text-xl">
          Check and sign off
        </Link>
      )}
      {works && task.pass !== 'check' && (
        <DoneButton
          room={id}
          pass={task.pass}
          block={block}
          coats={coats.map((ready) => coatToLog(ready, room))}
          people={people}
          now={now}
          timeZone={timeZone}
        />
      )}
      <Link href={`/h/${houseId}/board#${id}`} className="btn btn-xl h-auto w-full py-4 text-lg">
        Part done, or something else
      </Link>
      {works && <NoteItem now={now} room={id} label={`Note something wrong in ${name}`} />}
    </section>
  );
}

/** What comes after the coats of a room. */
const AFTER_COATS = {
  sand: { title: 'Sand the room' },
  check: { title: 'Check the room under the lamp' },
  seal: { title: 'Seal the room' },
} as const;
const isAfterCoats = (pass: Task['pass']): pass is keyof typeof AFTER_COATS => pass in AFTER_COATS;

/** A class as it stands in this room. */
function ClassGlyph({
  kind,
  room,
  way,
}: {
  readonly kind: CoatedClass;
  readonly room: RoomSite;
  readonly way: string;
}) {
  const ladder = room.standing.classes.find((standing) => standing.class === kind)?.coats ?? [];
  return (
    <SectionGlyph
      kind={kind}
      way={way}
      layers={ladder.map(({ phase, coat }) => ({ phase, key: coat.key, side: coat.side }))}
      className="h-11 w-24"
    />
  );
}

const coatToLog = ({ coat, pieces }: ReadyCoat, { method }: RoomSite): CoatToLog => {
  const { class: kind, key, side, tool } = coat;
  return { coat: { class: kind, key, side, tool }, pieces, wet: loggedMud(wetMudOf(coat, method)) };
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
