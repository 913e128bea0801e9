'use client';

import { useState } from 'react';
import { useCommand } from '@/client/useCommand';
import { NO_CATALOGUE, WARES, type WareName, waresOf } from '@/core/materials/catalogue';
import type { Catalogue } from '@/core/materials/catalogueSchema';
import { type LengthUnit, MM_PER_FOOT } from '@/core/measure/unit';
import { MUD_PRODUCTS, type MudProduct } from '@/core/method/coat';
import { STICK_PROFILES } from '@/core/room/kinds';
import { SHRINKAGE } from '@/core/section/mud';
import type { LearnedUse } from '@/core/stock/learnUse';
import { Dialog } from '@/ui/Dialog';
import { DialogEnd } from '@/ui/DialogEnd';
import { Opened } from '@/ui/Opened';
import { TextField } from '@/ui/TextField';
import { CLASS_NAMES, PROFILE_NAMES } from '@/words/stateWords';
import {
  type CatalogueTexts,
  catalogueIn,
  coverageNumber,
  PRODUCT_FIELDS,
  type ProductField,
  packNumber,
  packUnit,
  textsOf,
} from './catalogueTexts';
import { GOOD_WORDS } from './stockRows';

const FIELD_WORDS: Readonly<Record<ProductField, string>> = {
  called: 'Called',
  pack: 'A pack holds',
  price: 'Price of a pack',
  leadDays: 'Days to come',
  waste: 'Waste, %',
  shrinkage: 'Shrinks, %',
  use: 'Really used, ×',
};
/** Screws are counted, and only mud shrinks. */
const isMud = (name: WareName): name is MudProduct => MUD_PRODUCTS.some((mud) => mud === name);
const isAsked = (name: WareName, field: ProductField): boolean =>
  field === 'shrinkage' ? isMud(name) : field !== 'use' || name !== 'screws';

const wareWords = (name: WareName): string => (name === 'screws' ? 'Screws' : GOOD_WORDS[name].name);

/** What the firm buys: packs, prices, how long it takes to come, what is lost, and what of bead lies there; for all houses. */
export function CatalogueButton(props: {
  readonly catalogue: Catalogue;
  readonly version: number;
  readonly learned: readonly LearnedUse[];
  readonly unit: LengthUnit;
}) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="btn" onClick={() => setOpen(true)}>
        What we buy …
      </button>
      {open && (
        <Opened shown={props}>{(opened) => <CatalogueDialog opened={opened} close={() => setOpen(false)} />}</Opened>
      )}
    </>
  );
}

function CatalogueDialog({
  opened,
  close,
}: {
  readonly opened: Parameters<typeof CatalogueButton>[0];
  readonly close: () => void;
}) {
  const { learned, unit } = opened;
  const [texts, setTexts] = useState(() => textsOf(opened.catalogue, unit));
  const [fault, setFault] = useState<{ readonly field: string; readonly reason: string }>();
  const { run, busy, message } = useCommand();
  const usual = waresOf(NO_CATALOGUE, unit);
  const say = (change: Partial<CatalogueTexts>) => setTexts((now) => ({ ...now, ...change }));
  const sayOf = (name: WareName, field: ProductField, text: string) =>
    setTexts((now) => ({
      ...now,
      products: { ...now.products, [name]: { ...now.products[name], [field]: text } },
    }));
  const save = async () => {
    const reading = catalogueIn(texts, unit);
    setFault(reading.ok ? undefined : reading);
    if (reading.ok && (await run('saveCatalogue', { version: opened.version, catalogue: reading.catalogue }))) close();
  };
  const placeholder = (name: WareName, field: ProductField): string => {
    const { pack, waste, leadDays } = usual.of[name];
    switch (field) {
      case 'pack':
        return `${packNumber(name, pack, unit)} ${packUnit(name, unit)}`;
      case 'waste':
        return String(Math.round(waste * 100));
      case 'leadDays':
        return String(leadDays);
      case 'shrinkage':
        return isMud(name) ? String(Math.round(SHRINKAGE[name] * 100)) : '';
      case 'use':
        return '1';
      default:
        return '';
    }
  };
  const sticks = usual.sticks.map(({ length }) =>
    unit === 'in' ? `${Math.round(length / MM_PER_FOOT)}'` : String(length),
  );
  return (
    <Dialog title="What we buy" close={close} className="w-[min(96vw,70rem)] max-w-none">
      <p className="text-muted">For all houses. Leave blank to use the default shown in gray.</p>
      <div className="overflow-x-auto">
        <table className="table table-sm">
          <thead>
            <tr>
              <th scope="col">Goods</th>
              {PRODUCT_FIELDS.map((field) => (
                <th key={field} scope="col">
                  {FIELD_WORDS[field]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {WARES.map((name) => {
              const wrong = fault?.field.startsWith(`${name}.`) ? fault : undefined;
              return (
                <tr key={name}>
                  <th scope="row" className="font-semibold whitespace-nowrap">
                    {wareWords(name)}
                    {wrong && (
                      <span role="alert" className="block font-normal whitespace-normal text-error">
                        {FIELD_WORDS[wrong.field.split('.')[1] as ProductField]}: {wrong.reason}
                      </span>
                    )}
                  </th>
                  {PRODUCT_FIELDS.map((field) =>
                    !isAsked(name, field) ? (
                      <td key={field} />
                    ) : (
                      <td key={field} className="p-1">
                        <input
                          className={`input min-h-11 ${field === 'called' ? 'w-36' : 'w-24'} ${wrong?.field === `${name}.${field}` ? 'input-error' : ''}`}
                          aria-label={`${wareWords(name)}: ${FIELD_WORDS[field].toLowerCase()}`}
                          aria-invalid={wrong?.field === `${name}.${field}` || undefined}
                          inputMode={field === 'called' ? undefined : 'decimal'}
                          maxLength={40}
                          placeholder={placeholder(name, field)}
                          value={texts.products[name][field]}
                          onChange={({ target }) => sayOf(name, field, target.value)}
                        />
                      </td>
                    ),
                  )}
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {learned.length > 0 && (
        <section aria-label="Learned from counts" className="space-y-1">
          <h3 className="font-semibold">Learned from counts</h3>
          <ul>
            {learned.map(({ good, factor, intervals, spread, classes }) => (
              <li key={good} className="flex flex-wrap items-center gap-3">
                <span>
                  {GOOD_WORDS[good].name}: {factor.toFixed(2)} × what the sections say, by{' '}
                  {intervals === 1 ? 'two counts' : `${intervals + 1} counts`}
                  {spread === undefined ? ': not sure yet' : `, which differ by ± ${spread.toFixed(2)}`}
                  {spread !== undefined && classes.length > 1 && (
                    <span className="block text-sm text-muted">
                      {classes
                        .map((own) => `${CLASS_NAMES[own.class].toLowerCase()} ${own.factor.toFixed(2)}`)
                        .join(', ')}
                    </span>
                  )}
                </span>
                <button
                  type="button"
                  className="btn btn-sm"
                  onClick={() => sayOf(good, 'use', String(Math.round(factor * 100) / 100))}
                >
                  Reckon with it
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField
          label={`Sealer covers, ${unit === 'in' ? 'ft² a gallon' : 'm² a litre'}`}
          inputMode="decimal"
          placeholder={String(coverageNumber(usual, unit))}
          value={texts.coverage}
          error={fault?.field === 'coverage' ? fault.reason : undefined}
          onChange={({ target }) => say({ coverage: target.value })}
        />
        <TextField
          label="Bag of setting mud: minutes on its label"
          inputMode="decimal"
          value={texts.minutes}
          error={fault?.field === 'minutes' ? fault.reason : undefined}
          onChange={({ target }) => say({ minutes: target.value })}
        />
        <TextField
          label="Cost of a splice (blank: only for pieces longer than a stick)"
          inputMode="decimal"
          value={texts.splice}
          error={fault?.field === 'splice' ? fault.reason : undefined}
          onChange={({ target }) => say({ splice: target.value })}
        />
        <TextField
          label={
            unit === 'in' ? "Sticks of bead and trim: 8' = 3.20, 10' = 4.10" : 'Sticks of bead and trim: 2400 = 3.20'
          }
          placeholder={sticks.join(', ')}
          value={texts.sticks}
          error={fault?.field === 'sticks' ? fault.reason : undefined}
          onChange={({ target }) => say({ sticks: target.value })}
        />
      </div>
      <fieldset className="grid gap-3 sm:grid-cols-2">
        <legend className="mb-1 font-semibold">Leftovers from any house (cut first)</legend>
        {STICK_PROFILES.map((profile) => (
          <TextField
            key={profile}
            label={PROFILE_NAMES[profile].replace(/^./, (letter) => letter.toUpperCase())}
            placeholder={unit === 'in' ? "4', 3'6" : '1200, 1050'}
            value={texts.offcuts[profile]}
            error={fault?.field === `offcuts.${profile}` ? fault.reason : undefined}
            onChange={({ target }) =>
              setTexts((now) => ({ ...now, offcuts: { ...now.offcuts, [profile]: target.value } }))
            }
          />
        ))}
      </fieldset>
      {message && (
        <p role="alert" className="text-error">
          {message}
        </p>
      )}
      <DialogEnd words="Save" disabled={busy} go={() => void save()} close={close} />
    </Dialog>
  );
}
