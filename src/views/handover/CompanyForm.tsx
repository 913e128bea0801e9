'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useSubmit } from '@/client/useSubmit';
import type { Company } from '@/core/house/company';
import { TextField } from '@/ui/TextField';

/** The head of the company's sheets, for leads. */
export function CompanyForm({ company }: { readonly company: Company }) {
  const router = useRouter();
  const form = useForm({ defaultValues: company });
  const { send, busy, message } = useSubmit('saveCompany', form);
  const [isSaved, setSaved] = useState(false);
  const { errors } = form.formState;
  return (
    <section className="sheet no-print p-4" aria-label="Company">
      <h2>Company</h2>
      <p className="text-muted">Printed at the top of every sheet.</p>
      <form
        noValidate
        className="mt-2 grid items-start gap-3 md:grid-cols-[1fr_2fr_1fr_auto]"
        onChange={() => setSaved(false)}
        onSubmit={form.handleSubmit((values) =>
          send(values, () => {
            setSaved(true);
            router.refresh();
          }),
        )}
      >
        <TextField
          label="Name"
          maxLength={80}
          error={errors.name?.message}
          defaultValue={company.name}
          {...form.register('name')}
        />
        <TextField
          label="Address and phone"
          maxLength={200}
          error={errors.address?.message}
          defaultValue={company.address}
          {...form.register('address')}
        />
        <TextField
          label="License"
          maxLength={80}
          error={errors.license?.message}
          defaultValue={company.license}
          {...form.register('license')}
        />
        <button type="submit" className="btn md:mt-6" disabled={busy}>
          Save company
        </button>
      </form>
      <p role={message ? 'alert' : 'status'} className={message ? 'text-error' : 'text-muted'}>
        {message ?? (isSaved ? 'Saved.' : '')}
      </p>
    </section>
  );
}
