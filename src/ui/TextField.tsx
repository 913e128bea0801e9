import { type ComponentPropsWithRef, type ReactNode, useId } from 'react';

/** A labelled input with its message beside it. */
export function TextField({
  label,
  error,
  hint,
  className,
  ...input
}: ComponentPropsWithRef<'input'> & {
  readonly label: ReactNode;
  readonly error?: string | undefined;
  readonly hint?: string;
}) {
  const id = useId();
  const note = error ?? hint;
  return (
    <div className={className}>
      <label htmlFor={id} className="mb-1 block text-sm font-semibold">
        {label}
      </label>
      <input
        id={id}
        className={`input w-full ${error ? 'input-error' : ''}`}
        aria-invalid={error ? true : undefined}
        aria-describedby={note ? `${id}-note` : undefined}
        {...input}
      />
      {note && (
        <p id={`${id}-note`} className={`mt-1 text-sm ${error ? 'text-error' : 'text-muted'}`}>
          {note}
        </p>
      )}
    </div>
  );
}
