'use client';

import { useMemo, useState } from 'react';
import type { Air } from '@/core/air/air';
import type { MethodPatch } from '@/core/estimate/methodPatch';
import { type LengthUnit, MM_PER_INCH } from '@/core/measure/unit';
import { choicesFor, type Method } from '@/core/method/resolveMethod';
import { SURFACES } from '@/core/room/kinds';
import type { MethodClass } from '@/core/room/methodAnswers';
import { type JointFound, LEAST_TAPER_MM, MOST_TAPER_MM, USUAL_BEVEL_MM } from '@/core/section/joint';
import { judgeSection } from '@/core/section/judgeSection';
import { foundIn } from '@/core/section/sectionFor';
import { type Surface, toleranceFor } from '@/core/section/tolerance';
import { SelectField } from '@/ui/SelectField';
import { coatName } from '@/words/coatWords';
import { smallWords } from '@/words/lengthWords';
import { widthWords } from '@/words/sectionWords';
import { CLASS_NAMES } from '@/words/stateWords';
import { SectionDrawing } from './SectionDrawing';
import { SectionFindings } from './SectionFindings';
import { Slider } from './Slider';
import { definedIn, patchFrom, type Trial, tryOut } from './trial';

/** What can be found of a joint, and how far it goes; mm. */
const SLIDERS = [
  {
    of: 'taper',
    label: 'Depth of the taper',
    min: LEAST_TAPER_MM,
    max: MOST_TAPER_MM,
    step: 0.05,
    kinds: ['flat', 'mixed'],
  },
  { of: 'hump', label: 'How far the ends stand proud', min: 0, max: 6.4, step: 0.1, kinds: ['butt'] },
  {
    of: 'gap',
    label: 'Gap between the boards',
    min: 0,
    max: 10,
    step: 0.1,
    kinds: ['flat', 'butt', 'backedButt', 'mixed', 'existing'],
  },
  { of: 'nose', label: 'How far the nose stands off', min: 0.5, max: 5, step: 0.1, kinds: ['bead', 'trim'] },
] as const satisfies readonly {
  readonly of: keyof JointFound & keyof Trial;
  readonly label: string;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly kinds: readonly MethodClass[];
}[];

/** Looking at one class in section: coat by coat, wet and dry, with sliders that the picture and the numbers follow. */
export function SectionPanel({
  kinds,
  kind,
  setKind,
  method,
  unit,
  air,
  covering,
  mayEdit,
  use,
}: {
  readonly kinds: readonly MethodClass[];
  readonly kind: MethodClass;
  readonly setKind: (kind: MethodClass) => void;
  readonly method: Method;
  readonly unit: LengthUnit;
  readonly air: Air;
  /** What covers the room looked at, where that is said. */
  readonly covering: Surface | undefined;
  readonly mayEdit: boolean;
  readonly use: (patch: MethodPatch) => void;
}) {
  const [trial, setTrial] = useState<Trial>({});
  const [step, setStep] = useState<number>();
  const [chosenSurface, setSurface] = useState<Surface>();
  const surface = chosenSurface ?? covering ?? 'flat paint';
  const found: JointFound = { ...foundIn(kind, method), ...definedIn(trial) };
  const section = useMemo(() => tryOut(kind, method, trial), [kind, method, trial]);
  const judged = judgeSection(section, toleranceFor(surface));
  const last = section.coats.length * 2;
  const at = Math.min(step ?? last, last);
  const shown = Math.ceil(at / 2);
  const wet = at % 2 === 1;
  const drawn = section.coats[shown - 1]?.coat;
  const set = (change: Trial) => setTrial((now) => ({ ...now, ...change }));
  const floated = kind === 'butt';
  const widest = section.coats.at(-1)?.coat.tool.width ?? 0;
  const stepName =
    at === 0 ? 'Bare board' : `${drawn ? coatName(drawn) : ''}${wet ? ', wet' : at === last ? ', sanded' : ', dry'}`;

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
        unit={unit}
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
        {SLIDERS.filter(({ kinds }) => kinds.some((own) => own === kind)).map(({ of, label, min, max, step }) => (
          <Slider
            key={of}
            label={label}
            words={smallWords(found[of], unit)}
            min={min}
            max={max}
            step={step}
            value={found[of]}
            onChange={(value) => set({ [of]: value })}
          />
        ))}
        {kind === 'butt' && (
          <SelectField
            label="Cut ends"
            value={found.bevel > 0 ? 'bevelled' : 'square'}
            options={[
              ['square', 'square'],
              ['bevelled', 'cut back to a channel'],
            ]}
            onChange={(event) => set({ bevel: event.target.value === 'bevelled' ? USUAL_BEVEL_MM : 0 })}
          />
        )}
        {section.layout === 'corner' && (
          <SelectField
            label="Factory edges in the corner"
            value={String(section.found.factoryEdges)}
            options={[
              ['0', 'none'],
              ['1', 'along one side'],
              ['2', 'along both sides'],
            ]}
            onChange={(event) =>
              set({ factoryEdges: ([0, 1, 2] as const).find((own) => String(own) === event.target.value) ?? 0 })
            }
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
      <SectionFindings section={section} kind={kind} surface={surface} unit={unit} air={air} />
    </section>
  );
}
