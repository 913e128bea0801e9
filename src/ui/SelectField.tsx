import { type ComponentPropsWithRef, type ReactNode, useId } from 'react';

/** A labelled choice; options are `[value, words]`. */
export function SelectField({
  label,
  options,
  error,
  className,
  ...select
}: ComponentPropsWithRef<'select'> & {
  readonly label: ReactNode;
  readonly options: readonly (readonly [string, string])[];
  readonly error?: string | undefined;
}) {
  const id = useId();
  return (
    <div className={className}>
      <label htmlFor={id} className="mb-1 block text-sm font-semibold">
        {label}
      </label>
      <select
        id={id}
        className={`select w-full ${error ? 'select-error' : ''}`}
        aria-invalid={error ? true : undefined}
        aria-describedby={error ? `${id}-note` : undefined}
        {...select}
      >
        {options.map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>
      {error && (
        <p id={`${id}-note`} className="mt-1 text-sm text-error">
          {error}
        </p>
      )}
    </div>
  );
}
