import Link from 'next/link';
import type { Air } from '@/core/air/air';
import type { HouseHead } from '@/core/house/schema';
import { type CoatEntry, whoDid } from '@/core/log/entry';
import type { Person } from '@/core/log/person';
import type { Mark, OpenItem } from '@/core/log/stateOf';
import { COATED_CLASSES } from '@/core/method/coat';
import type { RoomSite } from '@/core/readiness/siteOf';
import { lengthCovered } from '@/core/standing/coveredBy';
import { airWords } from '@/ui/airWords';
import { itemWords } from '@/ui/defectWords';
import { MarkButton } from '@/ui/entries/MarkButton';
import { areaWords, roughLength } from '@/ui/lengthWords';
import { namesIn } from '@/ui/names';
import { PrintButton } from '@/ui/PrintButton';
import { ItemList } from '@/ui/problem/ItemList';
import { Sign } from '@/ui/Sign';
import { CLASS_NAMES, isJoint, PASS_NAMES, roomWords } from '@/ui/state/words';
import { instantWords } from '@/ui/when';
import { PhotoChoice } from './PhotoChoice';

interface RoomPageProps {
  readonly houseId: string;
  readonly house: HouseHead;
  readonly room: RoomSite;
  readonly people: readonly Person[];
  readonly air: Air | undefined;
  readonly now: number;
  readonly timeZone: string;
  readonly mayHandOver: boolean;
}

/** The page that a room is handed over with: level, dates, who, air, and open items. It prints on one sheet. */
export function RoomPageView({ houseId, house, room, people, air, now, timeZone, mayHandOver }: RoomPageProps) {
  const { state, applied, done, level, tally } = room;
  const open = state.items.filter(({ closed }) => !closed);
  const namesOf = namesIn(people);
  const photoWords = (text: string | undefined, item: OpenItem | undefined) =>
    item ? `${itemWords(item, room.room, house.unit)}${item.closed ? ', mended' : ''}` : (text ?? room.room.name);
  const mark = (done: Mark | undefined) =>
    done ? `${instantWords(Date.parse(done.at), timeZone)}, ${namesOf(done.who)}` : 'not yet';
  const whenAndWho = (entry: CoatEntry) => {
    const { mud, product, batch } = entry.payload;
    const setting = mud.kind === 'setting' ? `, setting ${mud.minutes}` : '';
    return `${instantWords(Date.parse(entry.at), timeZone)}, ${namesOf(whoDid(entry))}${setting}${product ? `, ${product}` : ''}${batch ? `, batch ${batch}` : ''}`;
  };
  const there = new Set(room.pieces.map(({ id }) => id));
  const isThere = ({ payload: { on } }: CoatEntry) => !on || on.some(({ id }) => there.has(id));
  const words = roomWords(room.standing.now, now, timeZone);
  return (
    <main className="mx-auto w-full max-w-4xl flex-1 space-y-4 p-4">
      <div className="no-print flex flex-wrap items-center justify-between gap-3">
        <Link href={`/h/${houseId}/hand-over`} className="link text-primary">
          All rooms
        </Link>
        <div className="flex flex-wrap items-start gap-2">
          {mayHandOver && room.standing.now.kind === 'handOver' && (
            <MarkButton
              now={now}
              said={{ kind: 'handedOver', room: room.room.id, payload: {} }}
              words="Handed over to the painters"
            />
          )}
          <PrintButton />
        </div>
      </div>
      <article className="sheet space-y-5 p-6 print:border-0 print:p-0">
        <header className="flex items-start justify-between gap-4 border-b-2 border-secondary pb-3">
          <div>
            <p className="text-muted">
              {house.name}, {room.room.floor}
            </p>
            <h1 className="text-3xl">{room.room.name}</h1>
          </div>
          <Sign className="size-12" />
        </header>
        <dl className="grid gap-x-8 gap-y-2 sm:grid-cols-2">
          <Fact term="Level of finish agreed">level {level}</Fact>
          <Fact term="Level met">
            {done.checked
              ? `level ${done.checked.level}`
              : `not checked (${words.title.toLowerCase()}${words.detail ? ` ${words.detail}` : ''})`}
          </Fact>
          <Fact term="Sanded">{mark(done.sanded)}</Fact>
          <Fact term="Checked in light">{mark(done.checked)}</Fact>
          <Fact term="Handed over">{mark(state.handedOver)}</Fact>
          <Fact term="Air when this page was made">{air ? airWords(air, house.unit) : 'not measured'}</Fact>
          <Fact term="Board">{areaWords(tally.boardArea, house.unit)}</Fact>
          <Fact term="Page made">{instantWords(now, timeZone)}</Fact>
        </dl>
        <section>
          <h2>Coats</h2>
          <table className="table table-sm">
            <thead>
              <tr>
                <th scope="col">Joint</th>
                <th scope="col">Coat</th>
                <th scope="col">Done</th>
                <th scope="col">When and who</th>
              </tr>
            </thead>
            <tbody>
              {room.coats
                .toSorted((a, b) => COATED_CLASSES.indexOf(a.class) - COATED_CLASSES.indexOf(b.class))
                .map((coat) => {
                  const progress = applied.coats.get(coat.id);
                  return (
                    <tr key={coat.id}>
                      <td>
                        {CLASS_NAMES[coat.class]}
                        {coat.key === 'tape' && isJoint(coat.class)
                          ? `, ${roughLength(tally.classes[coat.class].length, house.unit)}`
                          : ''}
                      </td>
                      <td>{coat.name}</td>
                      <td>{progress ? `${Math.round(progress.share * 100)} %` : 'not yet'}</td>
                      <td>
                        {progress?.applications
                          .filter((entry) => !applied.more.includes(entry))
                          .map(whenAndWho)
                          .join('; ') ?? ''}
                      </td>
                    </tr>
                  );
                })}
              {applied.more.map((entry) => (
                <tr key={entry.id}>
                  <td>
                    {CLASS_NAMES[entry.payload.class]}
                    {entry.payload.on && isJoint(entry.payload.class)
                      ? `, ${roughLength(lengthCovered(entry.payload.on), house.unit)}`
                      : ''}
                  </td>
                  <td>
                    {PASS_NAMES[entry.payload.key]},{' '}
                    {isThere(entry) ? 'more than is asked for now' : 'on what is no longer there'}
                  </td>
                  <td>{Math.round(entry.payload.part * 100)} %</td>
                  <td>{whenAndWho(entry)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
        <section>
          <h2>Open items</h2>
          {open.length === 0 && <p>None.</p>}
          <ItemList
            house={houseId}
            room={room.room}
            pieces={[]}
            items={open}
            unit={house.unit}
            now={now}
            works={false}
            namesOf={(who) => `(${namesOf(who)})`}
          />
        </section>
        <PhotoChoice
          now={now}
          room={room.room.id}
          photos={state.photos.map(({ id, text, item }) => ({
            id,
            words: photoWords(
              text,
              state.items.find((own) => own.id === item),
            ),
          }))}
          shown={state.shown}
          mayChoose={mayHandOver}
        />
        <p className="border-t border-base-300 pt-3 font-semibold">
          Seal first: paper and mud take paint differently. Roll sealer over both, corner to corner, before paint or
          texture, or the joints will show in low light.
        </p>
        <div className="hidden grid-cols-2 gap-12 pt-10 print:grid">
          <p className="border-t border-base-content pt-1">Crew lead</p>
          <p className="border-t border-base-content pt-1">For the builder</p>
        </div>
      </article>
    </main>
  );
}

function Fact({ term, children }: { readonly term: string; readonly children: React.ReactNode }) {
  return (
    <div className="flex justify-between gap-4 border-b border-base-300 py-1">
      <dt className="text-muted">{term}</dt>
      <dd className="text-right font-semibold">{children}</dd>
    </div>
  );
}
