import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import type { useRun } from './useRun';

/** Who ran it, with whom, and from when to when. Most often it is who writes it, so it is folded away. */
export function RunFields({
  run,
  crew,
  error,
}: {
  readonly run: ReturnType<typeof useRun>;
  readonly crew: readonly { readonly id: string; readonly name: string }[];
  readonly error: string | undefined;
}) {
  const names = crew.map(({ id, name }) => [id, name] as const);
  return (
    <details className="rounded-lg border border-base-300 px-3 py-1">
      <summary className="cursor-pointer leading-8 font-semibold">
        Run by {names.find(([id]) => id === run.who)?.[1]}
        {run.partner !== '' && run.partner !== run.who && ` and ${names.find(([id]) => id === run.partner)?.[1]}`}
      </summary>
      <div className="grid grid-cols-2 gap-3 py-2">
        <SelectField
          label="Who ran it"
          value={run.who}
          onChange={(event) => run.setWho(event.target.value)}
          options={names}
        />
        <SelectField
          label="With"
          value={run.partner}
          onChange={(event) => run.setPartner(event.target.value)}
          options={[['', 'nobody'], ...names.filter(([id]) => id !== run.who)]}
        />
        <TextField
          label="Begun today at"
          type="time"
          value={run.begun}
          onChange={(event) => run.setBegun(event.target.value)}
        />
        <TextField
          label="Ended at"
          type="time"
          value={run.ended}
          error={error}
          onChange={(event) => run.setEnded(event.target.value)}
        />
      </div>
    </details>
  );
}
