'use client';

import { Plus, Trash2 } from 'lucide-react';
import { useEffect } from 'react';
import { useFieldArray, useForm } from 'react-hook-form';
import { checkRoom } from '@/core/house/checkRoom';
import type { QuickRoom } from '@/core/house/parseQuickLine';
import type { HouseHead } from '@/core/house/schema';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { NO_OPENING, type RoomTexts, readTexts, textsOf } from './roomTexts';

const LEVELS = [
  ['', 'as the house'],
  ...['0', '1', '2', '3', '4', '5'].map((level) => [level, `level ${level}`] as const),
] as const;
const CEILINGS = [
  ['', 'as the house'],
  ['auto', 'the better way'],
  ['along', 'along wall 1'],
  ['across', 'across wall 1'],
  ['open', 'no ceiling'],
] as const;
const WALLS = [
  ['', 'as the house'],
  ['across', 'across'],
  ['upright', 'upright'],
] as const;
const KINDS = [
  ['door', 'door'],
  ['window', 'window'],
  ['opening', 'opening'],
] as const;
const EDGES = [
  ['casing', 'casing'],
  ['bead', 'boarded, bead'],
  ['open', 'other room’s'],
] as const;
const WALL_NUMBERS = ['1', '2', '3', '4'].map((wall) => [wall, wall] as const);

/** Everything the quick line says, field by field. A field that cannot be read keeps its text and says why. */
export function RoomForm({
  room,
  revision,
  house,
  onRoom,
}: {
  readonly room: QuickRoom | undefined;
  readonly revision: number;
  readonly house: Pick<HouseHead, 'unit' | 'hang'>;
  readonly onRoom: (room: QuickRoom) => void;
}) {
  const form = useForm<RoomTexts>({ defaultValues: textsOf(room, house.unit) });
  const openings = useFieldArray({ control: form.control, name: 'openings' });
  const { errors } = form.formState;

  // The line wrote a new room: show it. What is being typed here is never replaced by its own echo.
  // biome-ignore lint/correctness/useExhaustiveDependencies: only a new revision replaces what is typed
  useEffect(() => form.reset(textsOf(room, house.unit)), [revision]);

  const read = () => {
    form.clearErrors();
    const { room: next, problems } = readTexts(form.getValues(), house.unit);
    const found = next ? checkRoom({ ...next, id: 'new' }, house) : [];
    for (const { path, reason } of [...problems, ...found]) form.setError(fieldAt(path), { message: reason });
    if (next && found.length === 0) onRoom(next);
  };
  const field = (name: Parameters<typeof form.register>[0]) => form.register(name, { onChange: read });

  return (
    <form noValidate className="space-y-4" onSubmit={(event) => event.preventDefault()}>
      <div className="grid grid-cols-2 gap-3 md:grid-cols-4">
        <TextField label="Name" error={errors.name?.message} {...field('name')} />
        <TextField label="Floor" error={errors.level?.message} {...field('level')} />
        <SelectField label="Level of finish" options={LEVELS} error={errors.finish?.message} {...field('finish')} />
        <TextField label="Height" error={errors.height?.message} {...field('height')} />
        <TextField label="Length (wall 1)" error={errors.length?.message} {...field('length')} />
        <TextField label="Width (wall 2)" error={errors.width?.message} {...field('width')} />
        <SelectField label="Ceiling boards" options={CEILINGS} {...field('ceiling')} />
        <SelectField label="Wall boards" options={WALLS} {...field('walls')} />
      </div>
      <h3 className="font-semibold">Doors, windows and openings</h3>
      {openings.fields.map((opening, index) => {
        const fault = errors.openings?.[index];
        return (
          <fieldset
            key={opening.id}
            className="grid grid-cols-2 items-start gap-3 rounded-xl border border-base-300 p-3 md:grid-cols-4"
          >
            <legend className="sr-only">Opening {index + 1}</legend>
            <SelectField label="Kind" options={KINDS} {...field(`openings.${index}.kind`)} />
            <TextField label="Width" error={fault?.width?.message} {...field(`openings.${index}.width`)} />
            <TextField label="Height" error={fault?.height?.message} {...field(`openings.${index}.height`)} />
            <TextField label="Sill" error={fault?.sill?.message} {...field(`openings.${index}.sill`)} />
            <SelectField
              label="Wall"
              options={WALL_NUMBERS}
              error={fault?.wall?.message}
              {...field(`openings.${index}.wall`)}
            />
            <TextField label="From left" error={fault?.at?.message} {...field(`openings.${index}.at`)} />
            <SelectField label="Edge" options={EDGES} {...field(`openings.${index}.edge`)} />
            <TextField label="Depth" error={fault?.depth?.message} {...field(`openings.${index}.depth`)} />
            <button
              type="button"
              className="btn btn-ghost col-span-2 justify-self-end md:col-span-4"
              aria-label={`Remove opening ${index + 1}`}
              onClick={() => {
                openings.remove(index);
                read();
              }}
            >
              <Trash2 className="size-5" aria-hidden="true" /> Remove
            </button>
          </fieldset>
        );
      })}
      <button type="button" className="btn" onClick={() => openings.append({ ...NO_OPENING })}>
        <Plus className="size-5" aria-hidden="true" /> Opening
      </button>
    </form>
  );
}

type FieldPath = Parameters<ReturnType<typeof useForm<RoomTexts>>['setError']>[0];

/** The field of the form that a problem's path belongs to. */
function fieldAt(path: string): FieldPath {
  const opening = /^openings\[(\d+)\]\.(\w+)$/.exec(path);
  if (opening) return `openings.${Number(opening[1])}.${opening[2] ?? 'width'}` as FieldPath;
  if (path === 'outline') return 'length';
  if (path.startsWith('hang')) return 'walls';
  return path as FieldPath;
}
