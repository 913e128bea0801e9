'use client';

import { useMemo, useState } from 'react';
import type { Air } from '@/core/drying/air';
import { dryingHours } from '@/core/drying/dryingHours';
import type { MethodPatch } from '@/core/estimate/methodPatch';
import { LIGHTS, SURFACES } from '@/core/house/kinds';
import type { MethodClass } from '@/core/house/methodSchema';
import { fromMm, type LengthUnit, MM_PER_INCH } from '@/core/measure/unit';
import { coatId } from '@/core/method/coat';
import { coatsFor } from '@/core/method/coatsFor';
import { choicesFor, type Method } from '@/core/method/resolveMethod';
import { buildSection } from '@/core/section/buildSection';
import { type JointFound, LEAST_TAPER_MM, MOST_TAPER_MM } from '@/core/section/joint';
import { judgeSection } from '@/core/section/judgeSection';
import { foundIn, sectionFor } from '@/core/section/sectionFor';
import { type Light, type Surface, toleranceFor } from '@/core/section/tolerance';
import { SelectField } from '@/ui/SelectField';
import { CLASS_NAMES } from '@/ui/state/words';
import { spanWords } from '@/ui/when';
import { SectionDrawing } from './SectionDrawing';
import { adviceWords, perLengthWords, smallWords, widthWords } from './sectionWords';

/** What the sliders have set; the rest is as the method and the joint have it. */
interface Trial {
  readonly taper?: number;
  readonly hump?: number;
  readonly gap?: number;
  readonly nose?: number;
  readonly width?: number;
  readonly mud?: 'drying' | 'settingFirst' | 'setting';
}

/** Looking at one class in section: coat by coat, wet and dry, with sliders that the picture and the numbers follow. */
export function SectionPanel({
  kinds,
  kind,
  setKind,
  method,
  unit,
  air,
  mayEdit,
  use,
}: {
  readonly kinds: readonly MethodClass[];
  readonly kind: MethodClass;
  readonly setKind: (kind: MethodClass) => void;
  readonly method: Method;
  readonly unit: LengthUnit;
  readonly air: Air;
  readonly mayEdit: boolean;
  readonly use: (patch: MethodPatch) => void;
}) {
  const [trial, setTrial] = useState<Trial>({});
  const [step, setStep] = useState<number>();
  const [surface, setSurface] = useState<Surface>('flat paint');
  const found: JointFound = { ...foundIn(kind, method), ...definedIn(trial) };
  const { section, tried } = useMemo(() => tryOut(kind, method, trial), [kind, method, trial]);
  const lights = LIGHTS.map((light: Light) => ({ light, judged: judgeSection(section, toleranceFor(surface, light)) }));
  const [first] = lights;
  if (!first) return null;
  const judged = first.judged;
  const last = section.coats.length * 2;
  const at = Math.min(step ?? last, last);
  const shown = Math.ceil(at / 2);
  const wet = at % 2 === 1;
  const set = (change: Trial) => setTrial((now) => ({ ...now, ...change }));
  const floated = kind === 'butt';
  const widest = tried.at(-1)?.width ?? 0;
  const stepName =
    at === 0
      ? 'Bare board'
      : `${section.coats[shown - 1]?.coat.name ?? ''}${wet ? ', wet' : at === last ? ', sanded' : ', dry'}`;

  return (
    <section className="sheet space-y-3 p-4" aria-label="Section">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h2>The joint in section</h2>
        <div className="flex gap-3">
          <SelectField
            label="Class"
            value={kind}
            options={kinds.map((own) => [own, CLASS_NAMES[own]] as const)}
            onChange={(event) => {
              const chosen = kinds.find((own) => own === event.target.value);
              if (!chosen) return;
              setTrial({});
              setStep(undefined);
              setKind(chosen);
            }}
          />
          <SelectField
            label="Surface"
            value={surface}
            options={SURFACES.map((own) => [own, own] as const)}
            onChange={(event) => setSurface(SURFACES.find((own) => own === event.target.value) ?? 'flat paint')}
          />
        </div>
      </div>
      <SectionDrawing
        section={section}
        shown={shown}
        wet={wet}
        judgement={judged}
        title={`${CLASS_NAMES[kind]} in section: ${stepName}. Crown ${smallWords(judged.crown, unit)}, ${widthWords(judged.width, unit)} wide.`}
      />
      <label className="block text-sm font-semibold">
        {stepName}
        <input
          type="range"
          className="range range-primary mt-1 w-full"
          min={0}
          max={last}
          value={at}
          aria-valuetext={stepName}
          onChange={(event) => setStep(Number(event.target.value))}
        />
      </label>
      <div className="grid gap-x-5 gap-y-2 sm:grid-cols-2">
        {(kind === 'flat' || kind === 'mixed') && (
          <Slider
            label="Depth of the taper"
            words={smallWords(found.taper, unit)}
            min={LEAST_TAPER_MM}
            max={MOST_TAPER_MM}
            step={0.05}
            value={found.taper}
            onChange={(taper) => set({ taper })}
          />
        )}
        {kind === 'butt' && (
          <Slider
            label="How far the ends stand proud"
            words={smallWords(found.hump, unit)}
            min={0}
            max={6.4}
            step={0.1}
            value={found.hump}
            onChange={(hump) => set({ hump })}
          />
        )}
        {section.layout === 'across' && (
          <Slider
            label="Gap between the boards"
            words={smallWords(found.gap, unit)}
            min={0}
            max={10}
            step={0.1}
            value={found.gap}
            onChange={(gap) => set({ gap })}
          />
        )}
        {(kind === 'bead' || kind === 'trim') && (
          <Slider
            label="How far the nose stands off"
            words={smallWords(found.nose, unit)}
            min={0.5}
            max={5}
            step={0.1}
            value={found.nose}
            onChange={(nose) => set({ nose })}
          />
        )}
        <Slider
          label="Width of the last coat, over all"
          words={widthWords(widest * (floated ? 2 : 1), unit)}
          min={4 * MM_PER_INCH}
          max={(floated ? 48 : 30) * MM_PER_INCH}
          step={MM_PER_INCH}
          value={widest * (floated ? 2 : 1)}
          onChange={(width) => set({ width })}
        />
        <SelectField
          label="Mud"
          value={trial.mud ?? choicesFor(method, kind).mud}
          options={[
            ['drying', 'drying throughout'],
            ['settingFirst', 'setting for tape and fill'],
            ['setting', 'setting to the end'],
          ]}
          onChange={(event) =>
            set({
              mud:
                (['drying', 'settingFirst', 'setting'] as const).find((own) => own === event.target.value) ?? 'drying',
            })
          }
        />
      </div>
      {Object.keys(trial).length > 0 && (
        <div className="flex gap-2">
          {mayEdit && (
            <button
              type="button"
              className="btn btn-primary"
              onClick={() => {
                use(patchFrom(kind, trial, unit));
                setTrial({});
              }}
            >
              Finish {CLASS_NAMES[kind].toLowerCase()} so
            </button>
          )}
          <button type="button" className="btn" onClick={() => setTrial({})}>
            As planned
          </button>
        </div>
      )}
      <div className="overflow-x-auto">
        <table className="table table-sm">
          <thead>
            <tr>
              <th scope="col">Coat</th>
              <th scope="col" className="text-right">
                Goes on
              </th>
              <th scope="col" className="text-right">
                Thickest, wet
              </th>
              <th scope="col" className="text-right">
                Thinnest
              </th>
              <th scope="col" className="text-right">
                Ready
              </th>
            </tr>
          </thead>
          <tbody>
            {section.coats.map(({ coat, wet: litres, thickest, thinnest }) => (
              <tr key={coatId(coat)}>
                <th scope="row" className="font-medium">
                  {coat.name}
                </th>
                <td className="text-right whitespace-nowrap">{perLengthWords(litres, kind, unit)}</td>
                <td className="text-right whitespace-nowrap">{smallWords(thickest, unit)}</td>
                <td className="text-right whitespace-nowrap">{smallWords(thinnest, unit)}</td>
                <td className="text-right whitespace-nowrap">
                  {spanWords(
                    coat.settingMinutes === undefined ? dryingHours(air, thickest) : (coat.settingMinutes * 1.5) / 60,
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-sm">
        <dt className="text-muted">In the end</dt>
        <dd>
          crown {smallWords(judged.crown, unit)}, {widthWords(judged.width, unit)} wide, at its steepest 1 in{' '}
          {Math.round(1 / Math.max(judged.steepest, 1e-4))}
        </dd>
        <dt className="text-muted">Under a 12 in knife</dt>
        <dd>
          hump {smallWords(judged.knife.hump, unit)}, light {smallWords(judged.knife.gap, unit)} deep
        </dd>
        {lights.map(({ light, judged: { shows } }) => (
          <div key={light} className="contents">
            <dt className="text-muted">{LIGHT_WORDS[light]}</dt>
            <dd className={shows ? 'font-semibold text-warning' : 'text-success'}>
              {shows ? 'it shows' : 'it does not show'}
            </dd>
          </div>
        ))}
      </dl>
      <ul className="list-disc pl-5 text-sm" aria-label="Advice">
        {judged.advice.map((line) => (
          <li key={line.kind}>{adviceWords(line, unit)}</li>
        ))}
        {tooSlow(section, air).map((name) => (
          <li key={name}>The {name.toLowerCase()} is too thick to dry by morning in this air.</li>
        ))}
      </ul>
    </section>
  );
}

const LIGHT_WORDS: Readonly<Record<Light, string>> = {
  ordinary: 'In ordinary light',
  'low sun': 'In low sun',
  cove: 'Under a cove',
  'lamp along the wall': 'By a lamp along the wall',
};

/** Evening to seven in the morning. */
const NIGHT_HOURS = 16;
const tooSlow = (section: ReturnType<typeof buildSection>, air: Air): readonly string[] =>
  section.coats.flatMap(({ coat, thickest }) =>
    coat.settingMinutes === undefined && dryingHours(air, thickest) > NIGHT_HOURS ? [coat.name] : [],
  );

function tryOut(kind: MethodClass, method: Method, trial: Trial) {
  if (Object.keys(trial).length === 0) {
    const section = sectionFor(kind, method);
    return { section, tried: section.coats.map(({ coat }) => coat) };
  }
  const own = choicesFor(method, kind);
  const choices = { ...own, mud: trial.mud ?? own.mud, width: trial.width ?? own.width };
  const tried = coatsFor(kind, { ...method, classes: { ...method.classes, [kind]: choices } });
  const found = { ...foundIn(kind, method), ...definedIn(trial) };
  return { section: buildSection(kind, tried, found, { sandBetween: own.between === 'sand' }), tried };
}

const definedIn = ({ taper, hump, gap, nose }: Trial) => ({
  ...(taper === undefined ? {} : { taper }),
  ...(hump === undefined ? {} : { hump }),
  ...(gap === undefined ? {} : { gap }),
  ...(nose === undefined ? {} : { nose }),
});

function patchFrom(kind: MethodClass, trial: Trial, unit: LengthUnit): MethodPatch {
  const own = Object.entries(definedIn(trial)).map(([key, mm]) => [key, Math.round(fromMm(mm, unit) * 1000) / 1000]);
  return {
    classes: {
      [kind]: {
        ...(trial.mud === undefined ? {} : { mud: trial.mud }),
        ...(trial.width === undefined ? {} : { width: Math.round(fromMm(trial.width, unit) * 4) / 4 }),
        ...(own.length > 0 ? { found: Object.fromEntries(own) } : {}),
      },
    },
  };
}

function Slider({
  label,
  words,
  onChange,
  ...range
}: {
  readonly label: string;
  readonly words: string;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly value: number;
  readonly onChange: (value: number) => void;
}) {
  return (
    <label className="block text-sm">
      <span className="flex justify-between gap-3">
        <span className="font-semibold">{label}</span> <span>{words}</span>
      </span>
      <input
        type="range"
        className="range range-primary range-sm mt-1 w-full"
        aria-valuetext={words}
        {...range}
        onChange={(event) => onChange(Number(event.target.value))}
      />
    </label>
  );
}
