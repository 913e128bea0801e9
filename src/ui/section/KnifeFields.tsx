import { SelectField } from '../SelectField';
import { TextField } from '../TextField';
import type { useKnife } from './useKnife';

const SEEN = [
  ['rocks', 'It rocks: the other end lifts'],
  ['light', 'Still, light under its middle'],
  ['ends', 'Level, light under both ends'],
  ['flat', 'No rock, no light'],
] as const;

/** What is seen of a knife laid across a joint. */
export function KnifeFields({ typed, faults, change }: ReturnType<typeof useKnife>) {
  return (
    <>
      <SelectField
        label="What you see"
        value={typed.kind}
        options={SEEN}
        onChange={(event) => change({ kind: SEEN.find(([own]) => own === event.target.value)?.[0] ?? 'rocks' })}
      />
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label="Knife"
          value={typed.knife}
          error={faults.knife}
          onChange={(event) => change({ knife: event.target.value })}
        />
        {typed.kind !== 'flat' && (
          <TextField
            label={typed.kind === 'rocks' ? 'It lifts by' : 'Light is'}
            value={typed.amount}
            error={faults.amount}
            onChange={(event) => change({ amount: event.target.value })}
          />
        )}
        {typed.kind === 'rocks' && (
          <TextField
            label="It rocks on a point"
            placeholder="its middle"
            hint="from the pressed end"
            value={typed.pivot}
            error={faults.pivot}
            onChange={(event) => change({ pivot: event.target.value })}
          />
        )}
      </div>
    </>
  );
}
