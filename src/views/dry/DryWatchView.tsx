import type { Answer } from '@/core/house/answer';
import type { LengthUnit } from '@/core/measure/unit';
import type { WetCoat } from '@/core/readiness/wetCoats';
import { airWords } from '@/ui/airWords';
import { CLASS_NAMES } from '@/ui/state/words';
import { instantWords, spanWords, untilWords } from '@/ui/when';
import { AirForm } from './AirForm';
import { LazyDryingChart } from './LazyDryingChart';

export interface DryRoom {
  readonly id: string;
  readonly name: string;
  readonly wet: readonly WetCoat[];
  readonly air: { readonly temperature: number; readonly humidity: number };
  /** Where the air of the room comes from. */
  readonly airSource: 'room' | 'house' | 'assumed';
}

interface DryWatchProps {
  readonly houseId: string;
  readonly rooms: readonly DryRoom[];
  readonly reading: { readonly at: number; readonly temperature: number; readonly humidity: number } | undefined;
  readonly unit: LengthUnit;
  readonly now: number;
  readonly timeZone: string;
  readonly mayMeasure: boolean;
  readonly recordAir: (input: {
    house: string;
    room: string | null;
    temperature: number;
    humidity: number;
  }) => Promise<Answer<null>>;
}

const SOURCES = { room: 'measured here', house: 'the house’s air', assumed: 'assumed, not measured' } as const;

/** What is wet, until when, and in which air. */
export function DryWatchView({ houseId, rooms, reading, unit, now, timeZone, mayMeasure, recordAir }: DryWatchProps) {
  const wet = rooms.filter((room) => room.wet.length > 0).sort((a, b) => readyAt(a) - readyAt(b));
  return (
    <main className="grid flex-1 content-start gap-5 p-4 grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_22rem] lg:px-5">
      <section className="space-y-4">
        <h1 className="sr-only">Dry watch</h1>
        {wet.length === 0 ? (
          <p className="sheet p-8 text-center text-lg">
            Nothing is wet. Every coat that is on can be coated or sanded.
          </p>
        ) : (
          <>
            <div className="sheet p-4 sm:p-5">
              <h2>How far the slowest coat of each room is</h2>
              <LazyDryingChart
                lines={wet.flatMap(({ name, wet: coats }) => coats.slice(-1).map(({ curve }) => ({ name, curve })))}
                now={now}
                timeZone={timeZone}
              />
            </div>
            <ul className="grid gap-4 md:grid-cols-2">
              {wet.map((room) => (
                <li key={room.id} className="sheet p-4">
                  <div className="flex items-baseline justify-between gap-3">
                    <h2>{room.name}</h2>
                    <p className="text-sm text-muted">
                      {airWords(room.air, unit)}, {SOURCES[room.airSource]}
                    </p>
                  </div>
                  <p className="narrow my-1 text-3xl font-bold text-warning">
                    {untilWords(readyAt(room), now, timeZone)}
                  </p>
                  <p className="mb-2 text-sm text-muted">all dry in {spanWords((readyAt(room) - now) / 3_600_000)}</p>
                  <ul className="divide-y divide-base-300 text-sm">
                    {room.wet.map(({ coat, until, since }) => (
                      <li key={`${coat.class} ${coat.key} ${coat.side}`} className="flex justify-between gap-3 py-1">
                        <span>
                          {CLASS_NAMES[coat.class]}: {coat.name.toLowerCase()}
                          <span className="block text-muted">on since {instantWords(since, timeZone)}</span>
                        </span>
                        <span className="whitespace-nowrap font-semibold">{untilWords(until, now, timeZone)}</span>
                      </li>
                    ))}
                  </ul>
                </li>
              ))}
            </ul>
          </>
        )}
      </section>
      <aside className="space-y-4">
        <section className="sheet p-4 sm:p-5">
          <h2>The air in the house</h2>
          {reading ? (
            <p className="mt-1">
              <span className="narrow block text-3xl font-bold">{airWords(reading, unit)}</span>
              <span className="text-sm text-muted">read {instantWords(reading.at, timeZone)}</span>
            </p>
          ) : (
            <p className="mt-1 text-warning">
              Not measured yet. The clock assumes a heated house until somebody reads a thermometer.
            </p>
          )}
          {mayMeasure && (
            <AirForm
              houseId={houseId}
              unit={unit}
              rooms={rooms.map(({ id, name }) => ({ id, name }))}
              recordAir={recordAir}
            />
          )}
        </section>
        <p className="px-1 text-sm text-muted">
          Times follow the handbook’s drying table for mud under paper tape, the coat’s thickness and the air it has
          had. They assume that the last reading holds. Grey is wet: look at the inside corners last.
        </p>
      </aside>
    </main>
  );
}

const readyAt = ({ wet }: DryRoom): number => Math.max(...wet.map(({ until }) => until));
