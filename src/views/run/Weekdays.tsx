const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** Edits days of the week; Monday is 1. */
export function Weekdays({
  legend,
  days,
  change,
  small = false,
}: {
  readonly legend: string;
  readonly days: readonly number[];
  readonly change: (days: readonly number[]) => void;
  readonly small?: boolean;
}) {
  return (
    <fieldset>
      <legend className={small ? 'sr-only' : 'mb-1 text-sm font-semibold'}>{legend}</legend>
      <div className="flex flex-wrap gap-x-3 gap-y-1">
        {WEEKDAYS.map((name, index) => (
          <label key={name} className="flex items-center gap-1">
            <input
              type="checkbox"
              className={`checkbox ${small ? 'checkbox-xs' : 'checkbox-sm'}`}
              checked={days.includes(index + 1)}
              onChange={(event) =>
                change(event.target.checked ? [...days, index + 1] : days.filter((day) => day !== index + 1))
              }
            />
            {name}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

/** Whether two lists name the same days. */
export const isSameDays = (one: readonly number[], other: readonly number[]): boolean =>
  one.toSorted().join() === other.toSorted().join();
