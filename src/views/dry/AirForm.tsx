'use client';

import { useRouter } from 'next/navigation';
import { useForm } from 'react-hook-form';
import { useHouse } from '@/client/HouseContext';
import { useSubmit } from '@/client/useSubmit';
import { celsiusFromFahrenheit, type LengthUnit } from '@/core/measure/unit';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';

interface AirTexts {
  room: string;
  temperature: string;
  humidity: string;
}

/** A thermometer read by hand: of the house, or of one room. */
export function AirForm({
  unit,
  rooms,
}: {
  readonly unit: LengthUnit;
  readonly rooms: readonly { readonly id: string; readonly name: string }[];
}) {
  const { id: houseId } = useHouse();
  const router = useRouter();
  const form = useForm<AirTexts>({ defaultValues: { room: '', temperature: '', humidity: '' } });
  const { send, busy, message } = useSubmit('recordAir', form);
  const isNumber = (text: string) =>
    (text.trim() !== '' && Number.isFinite(Number(text.replace(',', '.')))) || 'must be a number';
  const number = (text: string) => Number(text.replace(',', '.'));
  return (
    <form
      noValidate
      className="mt-4 space-y-3"
      onSubmit={form.handleSubmit((texts) =>
        send(
          {
            house: houseId,
            room: texts.room === '' ? null : texts.room,
            temperature: unit === 'in' ? celsiusFromFahrenheit(number(texts.temperature)) : number(texts.temperature),
            humidity: number(texts.humidity),
          },
          () => {
            form.reset();
            router.refresh();
          },
        ),
      )}
    >
      <SelectField
        label="Read in"
        options={[['', 'the house'], ...rooms.map(({ id, name }) => [id, name] as const)]}
        {...form.register('room')}
      />
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label={unit === 'in' ? 'Temperature, °F' : 'Temperature, °C'}
          inputMode="decimal"
          error={form.formState.errors.temperature?.message}
          {...form.register('temperature', { validate: isNumber })}
        />
        <TextField
          label="Humidity, %"
          inputMode="decimal"
          error={form.formState.errors.humidity?.message}
          {...form.register('humidity', { validate: isNumber })}
        />
      </div>
      {message && (
        <p role="alert" className="text-error">
          {message}
        </p>
      )}
      <button type="submit" className="btn btn-primary w-full" disabled={busy}>
        Record the air
      </button>
    </form>
  );
}
