import type { CSSProperties } from 'react';
import type { Air } from '@/core/air/air';
import type { Company } from '@/core/house/company';
import type { HouseHead } from '@/core/house/schema';
import { type HandOver, handOverOf, type RanCoat } from '@/core/inspect/handOver';
import type { Person } from '@/core/log/person';
import type { Mark, Signature } from '@/core/log/roomState';
import type { RoomSnapshot } from '@/core/snapshot/houseSnapshot';
import { ShowThrough } from '@/ui/section/ShowThrough';
import { airWords } from '@/words/airWords';
import { coatName } from '@/words/coatWords';
import { itemWords } from '@/words/defectWords';
import { faceWords } from '@/words/faceWords';
import { areaWords, roughLength } from '@/words/lengthWords';
import { namesIn } from '@/words/names';
import { percent } from '@/words/percent';
import { CLASS_NAMES, isJoint, PASS_NAMES, roomWords } from '@/words/stateWords';
import { dateWords, roundedUp } from '@/words/when';
import { Letterhead } from './Letterhead';

/** What a room is handed over with, on one sheet: level, dates, who, air, faces, open items, photos, signatures. */
export function RoomSheet({
  house,
  room,
  people,
  air,
  photos,
  company,
  sheet,
  signedSheets,
  now,
  timeZone,
}: {
  readonly house: HouseHead;
  readonly room: RoomSnapshot;
  readonly people: readonly Person[];
  /** In the room now, where that is told. */
  readonly air?: Air | undefined;
  /** Under which address the photos that were chosen are; where it does not say they stand elsewhere. */
  readonly photos?: string;
  readonly company: Company;
  /** The hash of the sheet as it would be signed now. */
  readonly sheet?: string | undefined;
  /** The address under which signed sheets are kept; undefined for those who may not read them. */
  readonly signedSheets?: string;
  readonly now: number;
  readonly timeZone: string;
}) {
  const facts = handOverOf(room);
  const open = facts.items.filter(({ closed }) => !closed);
  const namesOf = namesIn(people);
  const mark = (done: Mark | undefined) =>
    done ? `${dateWords(Date.parse(done.at), timeZone)}, ${namesOf(done.who)}` : 'not yet';
  const mended = facts.items.filter(({ closed }) => closed);
  const ceilings = room.faces.filter(({ kind }) => kind === 'ceiling').length;
  const whenAndWho = ({ at, who, mud, product, batch, air: dried }: RanCoat) =>
    [
      dateWords(Date.parse(at), timeZone),
      namesOf(who),
      ...(mud.kind === 'setting' ? [`setting ${mud.minutes}`] : []),
      ...(product ? [product] : []),
      ...(batch ? [`batch ${batch}`] : []),
      ...(dried ? [`dried in ${airWords(dried, house.unit)}`] : []),
    ].join(', ');
  const words = roomWords(facts.now, now, timeZone);
  return (
    <article
      className="sheet print-page space-y-5 p-6 print:space-y-2 print:border-0 print:p-0"
      style={{ '--print-zoom': printZoom(facts) } as CSSProperties}
    >
      <Letterhead company={company}>
        <p className="text-muted">
          {house.name}, {facts.floor}
        </p>
        <h1 className="text-3xl print:text-xl">{facts.name}</h1>
      </Letterhead>
      <dl className="grid gap-x-8 gap-y-2 sm:grid-cols-2 print:grid-cols-2 print:gap-y-0">
        <Fact term="Level of finish agreed">level {facts.agreed}</Fact>
        <Fact term="Level met">
          {facts.met
            ? `level ${facts.met.level}`
            : `not checked (${words.title.toLowerCase()}${words.detail ? ` ${words.detail}` : ''})`}
        </Fact>
        {facts.prefilled && <Fact term="Pre-filled">{mark(facts.prefilled)}</Fact>}
        <Fact term="Sanded">{mark(facts.sanded)}</Fact>
        <Fact term="Checked in light">{mark(facts.met)}</Fact>
        <Fact term="Handed over">
          {facts.handedOver && facts.now.kind !== 'done'
            ? `opened again (${mark(facts.handedOver)})`
            : mark(facts.handedOver)}
        </Fact>
        {air !== undefined && <Fact term="Air when this page was made">{airWords(air, house.unit)}</Fact>}
        <Fact term="Board">{areaWords(facts.boardArea, house.unit)}</Fact>
        <Fact term="Page made">{dateWords(now, timeZone)}</Fact>
      </dl>
      <section>
        <h2>Coats</h2>
        <div className="overflow-x-auto">
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
              {facts.asked.map((coat) => (
                <tr key={coat.id}>
                  <td>
                    {CLASS_NAMES[coat.class]}
                    {coat.key === 'tape' && isJoint(coat.class) ? `, ${roughLength(coat.amount, house.unit)}` : ''}
                  </td>
                  <td>{coatName(coat)}</td>
                  <td>{coat.share > 0 ? `${percent(coat.share)} %` : 'not yet'}</td>
                  <td>
                    {facts.coats
                      .filter(({ counts }) => counts.includes(coat.id))
                      .map(whenAndWho)
                      .join('; ')}
                  </td>
                </tr>
              ))}
              {facts.coats
                .filter(({ counts }) => counts.length === 0)
                .map((own) => (
                  <tr key={`${own.class} ${own.key} ${own.side} ${own.at}`}>
                    <td>
                      {CLASS_NAMES[own.class]}
                      {own.amount !== undefined && isJoint(own.class) ? `, ${roughLength(own.amount, house.unit)}` : ''}
                    </td>
                    <td>
                      {PASS_NAMES[own.key]}, {own.isThere ? 'more than is asked for now' : 'on what is no longer there'}
                    </td>
                    <td>{Math.round(own.part * 100)} %</td>
                    <td>{whenAndWho(own)}</td>
                  </tr>
                ))}
            </tbody>
          </table>
        </div>
      </section>
      <section>
        <h2>Open items</h2>
        {open.length === 0 && <p>None.</p>}
        <ul className="list-disc pl-5">
          {open.map((item) => (
            <li key={item.id}>
              {itemWords(item, room.room, house.unit)} ({namesOf(item.who)})
            </li>
          ))}
        </ul>
      </section>
      {mended.length > 0 && (
        <section>
          <h2>Mended</h2>
          <ul className="list-disc pl-5">
            {mended.map((item) => (
              <li key={item.id}>
                {itemWords(item, room.room, house.unit)}: {item.closed ? mark(item.closed) : ''}
              </li>
            ))}
          </ul>
        </section>
      )}
      <section>
        <h2>Faces</h2>
        <div className="overflow-x-auto">
          <table className="table table-sm">
            <thead>
              <tr>
                <th scope="col">Face</th>
                <th scope="col">Level met</th>
                <th scope="col">Light, date and name</th>
                <th scope="col">Paint from</th>
              </tr>
            </thead>
            <tbody>
              {facts.faces.map(({ face, place, level: met, light, at, who, paintFrom }) => (
                <tr key={face}>
                  <th scope="row" className="font-normal first-letter:uppercase">
                    {faceWords(place, ceilings)}
                  </th>
                  <td>{met ?? 'not yet'}</td>
                  <td>{at && who ? `${light ? `${light}, ` : ''}${mark({ at, who })}` : ''}</td>
                  <td>
                    {paintFrom
                      ? dateWords(roundedUp(Date.parse(paintFrom)), timeZone)
                      : met === undefined
                        ? ''
                        : 'seal first'}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </section>
      {photos && facts.photos.length > 0 && (
        <section>
          <h2>Photos</h2>
          <ul className="grid grid-cols-2 gap-4 sm:grid-cols-3 print:grid-cols-4">
            {facts.photos.map((id) => (
              <li key={id}>
                {/* biome-ignore lint/performance/noImgElement: it is small already */}
                <img
                  src={`${photos}/${id}`}
                  alt={`${room.room.name}, as it was`}
                  className="h-40 w-full rounded-lg object-cover print:h-24"
                />
              </li>
            ))}
          </ul>
        </section>
      )}
      {facts.signatures.map((signature) => (
        <Signed
          key={`${signature.at} ${signature.name}`}
          signature={signature}
          when={dateWords(Date.parse(signature.at), timeZone)}
          sheet={sheet}
          kept={signedSheets && signature.sheet && `${signedSheets}/${signature.sheet}`}
        />
      ))}
      {!facts.sealed && facts.sealFirst && <ShowThrough className="max-w-xl print:max-w-xs" />}
      <p className="border-t border-base-300 pt-3 font-semibold">
        {facts.sealed
          ? `Sealed corner to corner: ${mark(facts.sealed)}.`
          : 'Seal first: paper and mud take paint differently. Roll sealer over both, corner to corner, before paint or texture, or the joints will show in low light.'}
      </p>
      <div className={`hidden grid-cols-2 gap-12 pt-8 ${facts.signatures.length > 0 ? '' : 'print:grid'}`}>
        <p className="border-t border-base-content pt-1">Crew lead</p>
        <p className="border-t border-base-content pt-1">For the builder</p>
      </div>
    </article>
  );
}

/** Heights on paper, px at a page width of 720 px, measured on the demo's sheets. */
const PAGE_PX = 950;
const FIXED_PX = 490;
const LINE_PX = 15;
const PHOTO_ROW_PX = 115;
const SIGNATURE_PX = 120;
/** Smaller type can't be read; a longer sheet takes a second page. */
const LEAST_ZOOM = 0.55;

/** Returns the scale at which a sheet fits one page of Letter or A4, 0.55 to 1. */
function printZoom({ asked, coats, faces, items, photos, signatures }: HandOver): number {
  const more = Math.max(0, coats.length - asked.length);
  const lines = asked.length + more + faces.length + items.length;
  const pictures = Math.ceil(photos.length / 4) * PHOTO_ROW_PX + signatures.length * SIGNATURE_PX;
  const zoom = PAGE_PX / (FIXED_PX + lines * LINE_PX + pictures);
  return Math.max(LEAST_ZOOM, Math.min(1, Math.round(zoom * 100) / 100));
}

/** Shows a signature with the name, the time, and whether its sheet has changed since. */
function Signed({
  signature: { name, as, strokes, sheet: signed },
  when,
  sheet,
  kept,
}: {
  readonly signature: Signature;
  readonly when: string;
  readonly sheet: string | undefined;
  /** The address of the sheet as it was signed. */
  readonly kept: string | undefined;
}) {
  return (
    <figure className="w-64">
      <svg
        viewBox="0 0 1000 1000"
        preserveAspectRatio="none"
        className="h-24 w-64"
        role="img"
        aria-label={`Signature of ${name}`}
      >
        {strokes.map((stroke) => (
          <polyline
            key={stroke.join(' ')}
            points={stroke.join(' ')}
            className="fill-none stroke-base-content"
            strokeWidth={2}
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </svg>
      <figcaption className="border-t border-base-content pt-1 text-sm">
        {name}, {as === 'lead' ? 'crew lead' : 'for the builder'}, {when}
        {signed && (
          <span className="block text-muted">
            Signed on the link: sheet {signed.slice(0, 8)},{' '}
            {sheet === undefined || sheet === signed ? 'unchanged since' : 'changed since'}{' '}
            {kept && (
              <a className="link no-print" href={kept}>
                Show what was signed
              </a>
            )}
          </span>
        )}
      </figcaption>
    </figure>
  );
}

function Fact({ term, children }: { readonly term: string; readonly children: React.ReactNode }) {
  return (
    <div className="flex justify-between gap-4 border-b border-base-300 py-1 print:py-0">
      <dt className="text-muted">{term}</dt>
      <dd className="text-right font-semibold">{children}</dd>
    </div>
  );
}
