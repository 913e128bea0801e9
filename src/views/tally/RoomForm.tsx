'use client';

import { Trash2 } from 'lucide-react';
import { useEffect } from 'react';
import { useFieldArray, useForm } from 'react-hook-form';
import type { HouseHead } from '@/core/house/schema';
import { type FieldSpec, ITEM_SPECS, type ItemKind, specOf } from '@/core/quickline/lineSpecs';
import { parseQuickLine } from '@/core/quickline/parseQuickLine';
import { wallsOf } from '@/core/room/walls';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { ALWAYS, type FieldName, type FormTexts, lineOf, textsOf } from './formTexts';
import type { Draft } from './useDraft';

/**
 * Everything the quick line says, field by field. The form writes the line, so that both are read by one grammar; a
 * field that cannot be read keeps its text and says why.
 */
export function RoomForm({
  draft,
  house,
}: {
  readonly draft: Draft;
  readonly house: Pick<HouseHead, 'unit' | 'hang'>;
}) {
  const form = useForm<FormTexts>({ defaultValues: textsOf(draft.room, house.unit) });
  const items = useFieldArray({ control: form.control, name: 'items' });
  const { errors } = form.formState;
  const walls = draft.room ? wallsOf(draft.room.outline, house.unit).length : 4;

  // The line wrote a new room: show it. What is being typed here is never replaced by its own echo.
  // biome-ignore lint/correctness/useExhaustiveDependencies: only a new revision replaces what is typed
  useEffect(() => form.reset(textsOf(draft.room, house.unit)), [draft.revision]);

  const write = () => {
    form.clearErrors();
    const { line, fieldAt } = lineOf(form.getValues());
    draft.writeByForm(line);
    const reading = parseQuickLine(line, house);
    if (!reading.ok)
      form.setError(fieldAt(reading.at) as Parameters<typeof form.setError>[0], { message: reading.reason });
  };
  const field = (name: FieldName) => form.register(name as Parameters<typeof form.register>[0], { onChange: write });
  const faultOf = (index: number, name: string) => errors.items?.[index]?.values?.[name]?.message;

  return (
    <form noValidate className="space-y-4" onSubmit={(event) => event.preventDefault()} aria-label="Room as a form">
      <div className="grid grid-cols-2 gap-3 md:grid-cols-3">
        <TextField label="Name" error={errors.name?.message} {...field('name')} />
        <TextField
          className="col-span-2"
          label="Length x width x height, or a walk: r 12' d 3'6 …"
          error={errors.sizes?.message}
          {...field('sizes')}
        />
        {items.fields.slice(0, ALWAYS.length).map(({ id, kind }, index) => {
          const spec = specOf(kind).fields[0];
          if (!spec) return null;
          const name = `items.${index}.values.${spec.name}` as const;
          return <ItemField key={id} spec={spec} walls={walls} error={faultOf(index, spec.name)} input={field(name)} />;
        })}
      </div>
      {items.fields.slice(ALWAYS.length).map(({ id, kind }, at) => {
        const index = at + ALWAYS.length;
        const { label, fields } = specOf(kind);
        return (
          <fieldset
            key={id}
            className="relative grid grid-cols-2 items-start gap-3 rounded-xl border border-base-300 p-3 sm:grid-cols-3 xl:grid-cols-4"
          >
            <legend className="px-1 font-semibold">{label}</legend>
            {fields.map((spec) => (
              <ItemField
                key={spec.name}
                spec={spec}
                walls={walls}
                error={faultOf(index, spec.name)}
                input={field(`items.${index}.values.${spec.name}`)}
              />
            ))}
            <button
              type="button"
              className="btn btn-ghost btn-square absolute -top-6 right-2 bg-base-100"
              aria-label={`Remove ${label.toLowerCase()}`}
              onClick={() => {
                items.remove(index);
                write();
              }}
            >
              <Trash2 className="size-5" aria-hidden="true" />
            </button>
          </fieldset>
        );
      })}
      <SelectField
        label="Add"
        className="max-w-72"
        value=""
        options={[['', 'Door, window, soffit …'], ...addable(items.fields)]}
        onChange={({ target }) => {
          const spec = ITEM_SPECS.find(({ kind }) => kind === target.value);
          if (!spec) return;
          items.append({ kind: spec.kind, values: Object.fromEntries(spec.fields.map(({ name }) => [name, ''])) });
          if (spec.fields.length === 0) write();
        }}
      />
    </form>
  );
}

/** What a room may still have. */
const addable = (present: readonly { readonly kind: ItemKind }[]): (readonly [string, string])[] =>
  ITEM_SPECS.filter(({ kind, many }) => many || !present.some((item) => item.kind === kind)).map(
    ({ kind, label }) => [kind, label] as const,
  );

function ItemField({
  spec,
  walls,
  error,
  input,
}: {
  readonly spec: FieldSpec;
  readonly walls: number;
  readonly error: string | undefined;
  readonly input: ReturnType<ReturnType<typeof useForm<FormTexts>>['register']>;
}) {
  if (spec.type === 'choice' || spec.type === 'bare')
    return (
      <SelectField
        label={spec.label}
        error={error}
        options={[['', 'usual'], ...(spec.choices ?? []).map((choice) => [choice, choice] as const)]}
        {...input}
      />
    );
  if (spec.type === 'wall') {
    const numbers = Array.from({ length: walls }, (_, index) => String(index + 1));
    return (
      <SelectField
        label={spec.label}
        error={error}
        options={[['', spec.optional ? 'next free' : 'which?'], ...numbers.map((wall) => [wall, wall] as const)]}
        {...input}
      />
    );
  }
  return (
    <TextField label={spec.label} error={error} {...(spec.type === 'length' ? { 'data-length': '' } : {})} {...input} />
  );
}
