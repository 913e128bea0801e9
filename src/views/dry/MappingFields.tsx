import { type AirMapping, DATE_ORDERS, type DateOrder, UNITS } from '@/core/air/airFile/airMapping';
import { SelectField } from '@/ui/SelectField';

const ORDERS: Readonly<Record<DateOrder, string>> = {
  ymd: 'year, month, day',
  dmy: 'day, month, year',
  mdy: 'month, day, year',
};

/** Which column of a file says what, and how it is written. */
export function MappingFields({
  headers,
  mapping,
  change,
}: {
  readonly headers: readonly string[];
  readonly mapping: AirMapping;
  readonly change: (mapping: AirMapping) => void;
}) {
  const columns = headers.map((header, index) => [String(index), header || `column ${index + 1}`] as const);
  const zones = [...new Set([mapping.zone, 'UTC', ...Intl.supportedValuesOf('timeZone')])];
  return (
    <div className="grid gap-3 sm:grid-cols-3">
      <SelectField
        label="Date and time"
        options={columns}
        value={String(mapping.time)}
        onChange={(event) => change({ ...mapping, time: Number(event.target.value) })}
      />
      <SelectField
        label="Time of day"
        options={[['', 'in the same column'], ...columns]}
        value={mapping.clock === null ? '' : String(mapping.clock)}
        onChange={(event) =>
          change({ ...mapping, clock: event.target.value === '' ? null : Number(event.target.value) })
        }
      />
      <SelectField
        label="Dates are written"
        options={DATE_ORDERS.map((order) => [order, ORDERS[order]] as const)}
        value={mapping.order}
        onChange={(event) =>
          change({ ...mapping, order: DATE_ORDERS.find((order) => order === event.target.value) ?? mapping.order })
        }
      />
      <SelectField
        label="Temperature"
        options={columns}
        value={String(mapping.temperature)}
        onChange={(event) => change({ ...mapping, temperature: Number(event.target.value) })}
      />
      <SelectField
        label="in"
        options={UNITS.map((unit) => [unit, `°${unit}`] as const)}
        value={mapping.unit}
        onChange={(event) =>
          change({ ...mapping, unit: UNITS.find((unit) => unit === event.target.value) ?? mapping.unit })
        }
      />
      <SelectField
        label="Humidity"
        options={columns}
        value={String(mapping.humidity)}
        onChange={(event) => change({ ...mapping, humidity: Number(event.target.value) })}
      />
      <SelectField
        label="Time zone of times that name none"
        className="sm:col-span-3"
        options={zones.map((zone) => [zone, zone] as const)}
        value={mapping.zone}
        onChange={(event) => change({ ...mapping, zone: event.target.value })}
      />
    </div>
  );
}
