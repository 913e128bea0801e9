'use client';

import { useMemo, useState } from 'react';
import type { Air } from '@/core/air/air';
import type { Conflict } from '@/core/estimate/conflict';
import { choicesIn, methodIn, patchOf, type Scope, WHOLE_HOUSE } from '@/core/estimate/scope';
import { COATED_CLASSES } from '@/core/method/coat';
import type { MethodHouse } from '@/core/method/resolveMethod';
import type { CrewPace } from '@/core/rates/learn';
import { METHOD_CLASSES } from '@/core/room/methodAnswers';
import type { MethodChoices } from '@/core/room/methodSchema';
import { SelectField } from '@/ui/SelectField';
import { CLASS_NAMES } from '@/words/stateWords';
import { spanWords } from '@/words/when';
import { ConflictList } from './ConflictList';
import { receivedRooms, type SentRooms } from './coatsRooms';
import { KnifeCheck } from './KnifeCheck';
import { Ladder } from './Ladder';
import { LevelChoice } from './LevelChoice';
import { type KeptMethodRow, MethodStart } from './MethodStart';
import { crewWords, litresWords } from './priceWords';
import { QuestionList } from './QuestionList';
import { RoomFinishes } from './RoomFinishes';
import { SectionPanel } from './SectionPanel';
import { SingleJoints } from './SingleJoints';
import type { SingleJoint } from './singleJoints';
import { useMethod } from './useMethod';
import { usePrices } from './usePrices';

interface CoatsViewProps {
  readonly version: number;
  readonly house: MethodHouse;
  readonly rooms: SentRooms;
  readonly air: Air;
  /** How fast the crew is, as far as it is known and its reader's to know. */
  readonly crew: CrewPace;
  readonly kept: readonly KeptMethodRow[];
  /** Joints that get an extra coat of their own. */
  readonly singles: readonly SingleJoint[];
  readonly mayEdit: boolean;
}

const TABS = [
  ['choices', 'How it is done'],
  ['section', 'Section'],
  ['ladder', 'Coat ladder'],
  ['rooms', 'Room by room'],
] as const;
type Tab = (typeof TABS)[number][0];

/** Choosing how a house is finished: every question with its price, what contradicts itself, and the joint in section. */
export function CoatsView(props: CoatsViewProps) {
  const { version, air, crew, kept, mayEdit } = props;
  const stored = useMemo(() => receivedRooms(props.rooms), [props.rooms]);
  const method = useMethod(version, props.house, stored, air);
  const { house, rooms, conflicts } = method;
  const [scope, setScope] = useState<Scope>(WHOLE_HOUSE);
  const { prices, stale, failed } = usePrices(house, rooms, air, scope, crew);
  const plain = useMemo(() => rooms.map(({ room }) => room), [rooms]);
  const shown = useMemo(() => methodIn(scope, house, plain), [scope, house, plain]);
  const kinds = METHOD_CLASSES.filter((kind) =>
    rooms.some(({ tally }) => (kind === 'fasteners' ? tally.fasteners > 0 : tally.classes[kind].length > 0)),
  );
  const [looked, setLooked] = useState(kinds.includes('butt') ? ('butt' as const) : (kinds[0] ?? 'flat'));
  const [tab, setTab] = useState<Tab>('choices');
  const roomName = plain.find(({ id }) => id === scope.room)?.name;
  const mend = ({ room, mend: patch }: Conflict) => method.change(room?.id, patch);
  const { level, ...choices } = house.method;

  return (
    <main className="flex-1 space-y-5 p-4 lg:px-5">
      <section className="space-y-3">
        <div className="flex flex-wrap items-baseline justify-between gap-x-6">
          <h1>Level of finish</h1>
          <p className="text-muted">
            {prices
              ? `As planned: ${spanWords(prices.now.hours)} of work, ${spanWords(prices.now.sandingHours)} of it sanding; ${litresWords(prices.now.litres, house.unit)} of mud; ${prices.now.rounds} rounds, ${prices.now.nights} nights of drying.${crewWords(crew)}`
              : 'Working out what this house takes…'}{' '}
            {plain.some(({ finish }) => finish?.level !== undefined) && 'Rooms with a level of their own keep it.'}
          </p>
        </div>
        {failed && (
          <p role="alert" className="text-error">
            Can’t compute prices in this browser. Reload the page.
          </p>
        )}
        <LevelChoice
          level={level}
          prices={prices}
          unit={house.unit}
          mayEdit={mayEdit}
          choose={(chosen) => method.setHouse({ ...house.method, level: chosen })}
        />
      </section>
      <section className="sheet px-4 py-3" aria-label="Conflicts">
        {method.message && (
          <p role="alert" className="flex flex-wrap items-center gap-3 text-error">
            {method.message}
            {method.lost && (
              <button type="button" className="btn btn-sm" onClick={method.again}>
                Try again
              </button>
            )}
          </p>
        )}
        {method.waiting && (
          <p role="status" className="my-1 flex flex-wrap items-center gap-3 font-semibold text-error">
            Not saved. Fix the conflict or undo the change.
            <button type="button" className="btn btn-sm" onClick={method.undo}>
              Take it back
            </button>
          </p>
        )}
        <ConflictList conflicts={conflicts} unit={house.unit} mayEdit={mayEdit} mend={mend} />
      </section>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-3 border-b border-base-300 pb-3">
        <div role="tablist" aria-label="Coats" className="flex flex-wrap gap-1.5">
          {TABS.map(([id, name]) => (
            <button
              key={id}
              type="button"
              role="tab"
              id={`tab-${id}`}
              aria-selected={tab === id}
              aria-controls="coats-panel"
              className={`btn min-h-11 ${tab === id ? 'btn-secondary' : ''}`}
              onClick={() => setTab(id)}
            >
              {name}
            </button>
          ))}
        </div>
        {tab !== 'rooms' && (
          <div className="ml-auto flex flex-wrap items-end gap-3">
            <SelectField
              label="Where"
              value={scope.room ?? ''}
              options={[
                ['', 'Whole house'],
                ...plain.map(({ id, name, method: own }) => [id, own ? `${name} (its own)` : name] as const),
              ]}
              onChange={(event) => setScope({ ...scope, room: event.target.value || undefined })}
            />
            {tab === 'choices' && (
              <SelectField
                label="Which joints"
                value={scope.class ?? ''}
                options={[['', 'All joints'], ...kinds.map((kind) => [kind, CLASS_NAMES[kind]] as const)]}
                onChange={(event) => {
                  const chosen = kinds.find((kind) => kind === event.target.value);
                  setScope({ ...scope, class: chosen });
                  if (chosen) setLooked(chosen);
                }}
              />
            )}
            {scope.room && plain.find(({ id }) => id === scope.room)?.method && mayEdit && (
              <button type="button" className="btn" onClick={() => scope.room && method.setRoom(scope.room, null)}>
                Use house settings
              </button>
            )}
          </div>
        )}
      </div>
      <div role="tabpanel" id="coats-panel" aria-labelledby={`tab-${tab}`}>
        {tab === 'choices' && (
          <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 xl:grid-cols-[minmax(0,1fr)_minmax(0,22rem)]">
            <QuestionList
              scope={scope}
              choices={choicesIn(scope, house, plain)}
              prices={stale ? undefined : prices}
              unit={house.unit}
              mayEdit={mayEdit}
              choose={(question, answer) => method.change(scope.room, patchOf(scope, question, answer))}
              setMinutes={(settingMinutes) => method.change(scope.room, { choices: { settingMinutes } })}
            />
            <MethodStart
              unit={house.unit}
              choices={choices}
              kept={kept}
              mayEdit={mayEdit}
              start={(started: MethodChoices) => method.setHouse({ ...started, level })}
            />
          </div>
        )}
        {tab === 'section' && (
          <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-5 xl:grid-cols-[minmax(0,1fr)_minmax(0,24rem)]">
            <SectionPanel
              kinds={kinds}
              kind={looked}
              setKind={setLooked}
              method={shown}
              unit={house.unit}
              air={air}
              covering={plain.find(({ id }) => id === scope.room)?.finish?.surface}
              mayEdit={mayEdit}
              use={(patch) => method.change(scope.room, patch)}
            />
            <KnifeCheck
              key={looked}
              kind={looked}
              method={shown}
              unit={house.unit}
              where={roomName ?? 'the whole house'}
              mayEdit={mayEdit}
              use={(patch) => method.change(scope.room, patch)}
            />
          </div>
        )}
        {tab === 'ladder' && (
          <section className="sheet overflow-x-auto p-4 sm:p-5">
            <h2>
              Coat ladder at level {shown.level}
              {roomName ? `, ${roomName}` : ''}
            </h2>
            {shown.level === 0 && <p>Level 0: nothing is taped or coated.</p>}
            {COATED_CLASSES.filter((kind) => kind === 'surface' || kinds.includes(kind)).map((kind) => (
              <Ladder
                key={kind}
                kind={kind}
                method={shown}
                unit={house.unit}
                open={() => {
                  if (kind === 'surface') return;
                  setLooked(kind);
                  setTab('section');
                }}
              />
            ))}
            <SingleJoints
              joints={props.singles.filter(({ room }) => scope.room === undefined || room.id === scope.room)}
              unit={house.unit}
            />
          </section>
        )}
        {tab === 'rooms' && (
          <section className="sheet p-4 sm:p-5">
            <h2>Room by room</h2>
            <p className="mb-1 text-sm text-muted">The final surface and the light decide the level.</p>
            <RoomFinishes houseLevel={level} rooms={stored} mayEdit={mayEdit} />
          </section>
        )}
      </div>
    </main>
  );
}
