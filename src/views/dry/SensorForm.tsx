'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useHouse } from '@/client/HouseContext';
import { useSubmit } from '@/client/useSubmit';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';

/** A new sensor; its key is shown once. */
export function SensorForm({ rooms }: { readonly rooms: readonly { readonly id: string; readonly name: string }[] }) {
  const { id: houseId } = useHouse();
  const router = useRouter();
  const form = useForm({ defaultValues: { name: '', room: rooms[0]?.id ?? '' } });
  const { send, busy, message } = useSubmit('addSensor', form);
  const [made, setMade] = useState<{ readonly name: string; readonly key: string }>();
  return (
    <section className="sheet p-4" aria-label="Add a sensor">
      <h2>Add a sensor</h2>
      <form
        noValidate
        className="mt-2 space-y-3"
        onSubmit={form.handleSubmit(({ name, room }) =>
          send({ house: houseId, name, room: room === '' ? null : room }, ({ key }) => {
            setMade({ name, key });
            form.reset();
            router.refresh();
          }),
        )}
      >
        <TextField
          label="Name of the sensor"
          autoComplete="off"
          error={form.formState.errors.name?.message}
          {...form.register('name', { required: 'needs a name' })}
        />
        <SelectField
          label="Hangs in"
          options={[...rooms.map(({ id, name }) => [id, name] as const), ['', 'the house']]}
          {...form.register('room')}
        />
        {message && (
          <p role="alert" className="text-error">
            {message}
          </p>
        )}
        <button type="submit" className="btn btn-primary w-full" disabled={busy}>
          Add it
        </button>
      </form>
      {made && (
        <div role="status" className="mt-3 space-y-1 rounded-xl border-2 border-success p-3 text-sm">
          <p className="font-semibold">The key of {made.name}. Copy it now. It is shown only once:</p>
          <code className="block select-all break-all rounded bg-base-200 p-2">{made.key}</code>
          <p>
            The sensor sends <code>POST /api/readings</code> with <code>Authorization: Bearer</code> and this key.
          </p>
        </div>
      )}
    </section>
  );
}
