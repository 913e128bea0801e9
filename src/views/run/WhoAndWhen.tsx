import type { Handed, PlanPerson } from '@/core/plan/planInput';
import { BLOCKS, type Block } from '@/core/work/block';
import { SelectField } from '@/ui/SelectField';
import { BLOCK_NAMES } from '@/words/stateWords';
import { dayWords } from '@/words/when';

/** Who runs something, with whom, on which day. */
export function WhoAndWhen({
  given,
  people,
  days,
  change,
}: {
  readonly given: Handed;
  readonly people: readonly PlanPerson[];
  readonly days: readonly string[];
  readonly change: (given: Handed) => void;
}) {
  const [first = '', second = ''] = given.people;
  const names = people.map(({ id, name }) => [id, name] as const);
  const pair = (one: string, other: string) => (other === '' || other === one ? [one] : [one, other]);
  return (
    <div className="grid gap-3 sm:grid-cols-3">
      <SelectField
        label="Who"
        options={names}
        value={first}
        onChange={(event) => change({ ...given, people: pair(event.target.value, second) })}
      />
      <SelectField
        label="With"
        options={[['', 'no one else'], ...names.filter(([id]) => id !== first)]}
        value={second}
        onChange={(event) => change({ ...given, people: pair(first, event.target.value) })}
      />
      <SelectField
        label="Day"
        options={days.map((day) => [day, dayWords(day)] as const)}
        value={given.day}
        onChange={(event) => change({ ...given, day: event.target.value })}
      />
    </div>
  );
}

/** Where something is run: everywhere, or in one block only. */
export function Where({
  value,
  change,
}: {
  readonly value: Block | undefined;
  readonly change: (block: Block | undefined) => void;
}) {
  return (
    <SelectField
      label="Where"
      options={[['', 'walls and ceiling'], ...BLOCKS.map((block) => [block, `${BLOCK_NAMES[block]} only`] as const)]}
      value={value ?? ''}
      onChange={(event) => change(BLOCKS.find((block) => block === event.target.value))}
    />
  );
}
