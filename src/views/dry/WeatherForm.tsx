'use client';

import { useRouter } from 'next/navigation';
import { useForm } from 'react-hook-form';
import { useHouse } from '@/client/HouseContext';
import { useSubmit } from '@/client/useSubmit';
import { TextField } from '@/ui/TextField';

/** Where the weather is asked for. */
export function WeatherForm({ url }: { readonly url: string }) {
  const { id: houseId } = useHouse();
  const router = useRouter();
  const form = useForm({ defaultValues: { url } });
  const { send, busy, message } = useSubmit('setWeather', form);
  return (
    <form
      noValidate
      className="space-y-3"
      onSubmit={form.handleSubmit((input) => send({ house: houseId, url: input.url.trim() }, () => router.refresh()))}
    >
      <TextField
        label="Address of the weather service"
        inputMode="url"
        placeholder="http://…"
        error={form.formState.errors.url?.message}
        hint="Empty: no forecast is asked for."
        {...form.register('url')}
      />
      {message && (
        <p role="alert" className="text-error">
          {message}
        </p>
      )}
      <button type="submit" className="btn w-full" disabled={busy}>
        Save and fetch now
      </button>
    </form>
  );
}
