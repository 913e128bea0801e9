import type { Air } from '@/core/air/air';
import { coatTimes } from '@/core/drying/coatTimes';
import { wetMudFrom } from '@/core/drying/wetMud';
import type { LengthUnit } from '@/core/measure/unit';
import { LIGHTS } from '@/core/room/kinds';
import type { MethodClass } from '@/core/room/methodAnswers';
import type { Section } from '@/core/section/buildSection';
import { judgeSection } from '@/core/section/judgeSection';
import { type Light, type Surface, toleranceFor } from '@/core/section/tolerance';
import { coatName, longKnife } from '@/words/coatWords';
import { smallWords } from '@/words/lengthWords';
import { adviceWords, perLengthWords, widthWords } from '@/words/sectionWords';
import { spanWords } from '@/words/when';

/** What a section takes coat by coat, what it is like in the end, whether it shows, and what to do. */
export function SectionFindings({
  section,
  kind,
  surface,
  unit,
  air,
}: {
  readonly section: Section;
  readonly kind: MethodClass;
  readonly surface: Surface;
  readonly unit: LengthUnit;
  readonly air: Air;
}) {
  const judged = judgeSection(section, toleranceFor(surface));
  const lights = LIGHTS.map((light: Light) => ({ light, judged: judgeSection(section, toleranceFor(surface, light)) }));
  return (
    <>
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
              <tr key={coat.id}>
                <th scope="row" className="font-medium">
                  {coatName(coat)}
                </th>
                <td className="text-right whitespace-nowrap">{perLengthWords(litres, kind, unit)}</td>
                <td className="text-right whitespace-nowrap">{smallWords(thickest, unit)}</td>
                <td className="text-right whitespace-nowrap">{smallWords(thinnest, unit)}</td>
                <td className="text-right whitespace-nowrap">
                  {spanWords(coatTimes(wetMudFrom(coat, thickest), air).recoatHours)}
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
        <dt className="text-muted">Under a {longKnife(unit)}</dt>
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
    </>
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
const tooSlow = (section: Section, air: Air): readonly string[] =>
  section.coats.flatMap(({ coat, thickest }) =>
    coatTimes(wetMudFrom(coat, thickest), air).recoatHours > NIGHT_HOURS ? [coatName(coat)] : [],
  );
