import type { SourcedAir } from '@/core/air/roomAir';
import type { SensorStanding } from '@/core/air/sensorStanding';
import type { LengthUnit } from '@/core/measure/unit';
import { airWords } from '@/words/airWords';
import { instantWords } from '@/words/when';
import type { AirPoint } from './AirChart';
import { AirFileImport } from './AirFileImport';
import { ChartChoice, type Range } from './ChartChoice';
import { DryTabs } from './DryTabs';
import { sourceWords } from './dryWords';
import { LazyAirChart } from './LazyAirChart';
import { SensorForm } from './SensorForm';
import { SensorList } from './SensorList';
import { WeatherForm } from './WeatherForm';

interface AirViewProps {
  readonly houseId: string;
  readonly rooms: readonly { readonly id: string; readonly name: string; readonly now: SourcedAir }[];
  /** The room (null: the house) and the time that the chart shows. */
  readonly chart: {
    readonly room: string | null;
    readonly range: Range;
    readonly places: readonly { readonly id: string | null; readonly name: string }[];
    readonly points: readonly AirPoint[];
  };
  readonly sensors: readonly SensorStanding[];
  readonly weather: {
    readonly url: string | null;
    readonly askedAt: number | undefined;
    readonly until: number | undefined;
    readonly failure: string | undefined;
  };
  readonly unit: LengthUnit;
  readonly now: number;
  readonly timeZone: string;
  readonly mayEdit: boolean;
}

/** The air of every room and where it comes from: sensors, files, the weather. */
export function AirView({ houseId, rooms, chart, sensors, weather, unit, now, timeZone, mayEdit }: AirViewProps) {
  const roomName = (id: string) => rooms.find((room) => room.id === id)?.name ?? 'another room';
  const choices = rooms.map(({ id, name }) => ({ id, name }));
  return (
    <main className="flex-1 space-y-4 p-4 lg:px-5">
      <h1 className="sr-only">Air and sensors</h1>
      <DryTabs houseId={houseId} here="air" />
      <div className="grid content-start gap-4 grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_24rem]">
        <div className="min-w-0 space-y-4">
          <section className="sheet p-4" aria-label="Air over time">
            <ChartChoice houseId={houseId} places={chart.places} room={chart.room} range={chart.range} />
            {chart.points.length === 0 ? (
              <p className="py-10 text-center text-muted">No readings in this period.</p>
            ) : (
              <LazyAirChart points={chart.points} unit={unit} timeZone={timeZone} />
            )}
          </section>
          <SensorList sensors={sensors} rooms={choices} unit={unit} now={now} mayEdit={mayEdit} />
          {mayEdit && <AirFileImport rooms={choices} unit={unit} timeZone={timeZone} now={now} />}
        </div>
        <aside className="min-w-0 space-y-4">
          <section className="sheet p-4" aria-label="Rooms now">
            <h2>Rooms now</h2>
            <ul className="mt-1 divide-y divide-base-300">
              {rooms.map(({ id, name, now: air }) => (
                <li key={id} className="flex items-baseline justify-between gap-3 py-1.5">
                  <span>
                    <span className="font-semibold">{name}</span>
                    <span className={`block text-sm ${air.source.kind === 'room' ? 'text-muted' : 'text-warning'}`}>
                      {sourceWords(air, now, roomName)}
                    </span>
                  </span>
                  <span className="narrow whitespace-nowrap font-semibold">{airWords(air.air, unit)}</span>
                </li>
              ))}
            </ul>
          </section>
          {mayEdit && <SensorForm rooms={choices} />}
          <section className="sheet space-y-3 p-4" aria-label="Weather">
            <h2>Weather</h2>
            <p className="text-sm">
              {weather.askedAt === undefined
                ? 'Never asked: after the last reading the clock assumes that it holds.'
                : `As of ${instantWords(weather.askedAt, timeZone)}, forecast until ${instantWords(weather.until ?? weather.askedAt, timeZone)}.`}
            </p>
            {weather.failure !== undefined && (
              <p className="state font-medium">
                <span aria-hidden="true" className="shape-stuck" />
                <span>The weather service: {weather.failure}. What it said before still counts.</span>
              </p>
            )}
            {mayEdit && <WeatherForm url={weather.url ?? ''} />}
          </section>
        </aside>
      </div>
    </main>
  );
}
