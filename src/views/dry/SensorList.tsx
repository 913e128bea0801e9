'use client';

import { useHouse } from '@/client/HouseContext';
import { useCommand } from '@/client/useCommand';
import { FRESH_MS } from '@/core/air/roomAir';
import type { SensorStanding } from '@/core/air/sensorStanding';
import type { LengthUnit } from '@/core/measure/unit';
import { airWords } from '@/words/airWords';
import { spanWords } from '@/words/when';

interface SensorListProps {
  readonly sensors: readonly SensorStanding[];
  readonly rooms: readonly { readonly id: string; readonly name: string }[];
  readonly unit: LengthUnit;
  readonly now: number;
  readonly mayEdit: boolean;
}

const SILENT_MS = 2 * 3_600_000;

/** The sensors of the house: what they last said, what is wrong with them, where they hang. */
export function SensorList({ sensors, rooms, unit, now, mayEdit }: SensorListProps) {
  const { id: houseId } = useHouse();
  const { run, busy, message } = useCommand();
  return (
    <section className="sheet p-4" aria-label="Sensors">
      <h2>
        Sensors <span className="font-normal text-muted">{sensors.length}</span>
      </h2>
      {message && (
        <p role="alert" className="text-error">
          {message}
        </p>
      )}
      {sensors.length === 0 && (
        <p className="text-muted">No sensors yet. Rooms use typed readings, files or nearby rooms.</p>
      )}
      <ul className="mt-1 divide-y divide-base-300">
        {sensors.map((sensor) => (
          <li key={sensor.id} className="flex flex-wrap items-center gap-x-4 gap-y-2 py-2">
            <div className="min-w-40 flex-1">
              <p className="font-semibold">{sensor.name}</p>
              <p className="text-sm text-muted">{lastWords(sensor, unit, now)}</p>
              {faultsOf(sensor, now).map((fault) => (
                <p key={fault} className="state text-sm font-medium">
                  <span aria-hidden="true" className="shape-stuck" />
                  <span>{fault}</span>
                </p>
              ))}
            </div>
            {mayEdit && (
              <div className="flex flex-wrap items-center gap-2">
                {sensor.doubtful > 0 && (
                  <button
                    type="button"
                    className="btn btn-sm min-h-10"
                    disabled={busy}
                    onClick={() => void run('trustSensor', { house: houseId, device: sensor.id })}
                  >
                    They are right
                  </button>
                )}
                <select
                  className="select w-40"
                  aria-label={`Where ${sensor.name} hangs`}
                  disabled={busy}
                  value={sensor.roomId ?? ''}
                  onChange={(event) =>
                    void run('moveSensor', { house: houseId, device: sensor.id, room: event.target.value || null })
                  }
                >
                  {rooms.map(({ id, name }) => (
                    <option key={id} value={id}>
                      {name}
                    </option>
                  ))}
                  <option value="">the house</option>
                </select>
                <button
                  type="button"
                  className="btn btn-sm min-h-10"
                  disabled={busy}
                  aria-label={`Take ${sensor.name} away`}
                  onClick={() => void run('removeSensor', { house: houseId, device: sensor.id })}
                >
                  Take away
                </button>
              </div>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function lastWords({ lastAt, temperature, humidity }: SensorStanding, unit: LengthUnit, now: number): string {
  if (lastAt === undefined || temperature === undefined || humidity === undefined) return 'has not said anything yet';
  return `${airWords({ temperature, humidity }, unit)}, ${spanWords(Math.max(0, now - lastAt) / 3_600_000)} ago`;
}

/** What is wrong with a sensor, in words. */
export function faultsOf(
  { lastAt, jumped, doubtful, stuck, hourLate }: SensorStanding,
  now: number,
): readonly string[] {
  const silent = lastAt === undefined ? 0 : now - lastAt;
  return [
    ...(silent > FRESH_MS
      ? ['Offline. Using readings from other rooms.']
      : silent > SILENT_MS
        ? ['silent: its last reading still holds']
        : []),
    ...(stuck ? ['has said the very same for twelve hours: is it stuck?'] : []),
    ...(hourLate ? ['its readings arrive an hour old: is its clock an hour behind?'] : []),
    ...(doubtful > 0
      ? [`not used because they look like °F sent as °C. Confirm them if they are right: ${doubtful}`]
      : []),
    ...(jumped > 0 ? [`left out this week, as they jump away from their hour: ${jumped}`] : []),
  ];
}
