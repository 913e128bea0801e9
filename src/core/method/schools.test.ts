import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coatName, stepWords, toolWords } from '../../words/coatWords';
import { ANSWERS, METHOD_CLASSES } from '../room/methodAnswers';
import { choicesSchema, type MethodChoices, methodSchema } from '../room/methodSchema';
import { COAT_KEYS, COATED_CLASSES, mudKind } from './coat';
import { coatKeysFor } from './coatKeysFor';
import { coatsFor } from './coatsFor';
import { ladderFor } from './ladderFor';
import { resolveMethod } from './resolveMethod';
import { placeInSequence } from './sequence';
import { startingMethods } from './startingMethods';

const methodOf = (choices: MethodChoices, level: 0 | 1 | 2 | 3 | 4 | 5 = 4) =>
  resolveMethod({ unit: 'in', method: { ...choices, level } });
const tools = (kind: (typeof COATED_CLASSES)[number], choices: MethodChoices) =>
  coatsFor(kind, methodOf(choices)).map((coat) => toolWords(coat, 'in'));

describe('the tools of a school', () => {
  // common practice, no source
  it('are knives that widen, trowels, or boxes with their setting', () => {
    expect(tools('flat', {})).toEqual(['tape from the belt, 6 in knife', '10 in knife', '12 in knife']);
    expect(tools('flat', { tools: 'trowel' }).slice(1)).toEqual(['14 in trowel', '16 in trowel']);
    expect(tools('flat', { tools: 'boxes' }).slice(1)).toEqual([
      '10 in flat box, set to 2',
      '12 in flat box, set to 2',
    ]);
  });

  it('leave bead and screws to knives, and angles to a knife or a corner tool', () => {
    for (const kind of ['bead', 'fasteners'] as const) expect(tools(kind, { tools: 'boxes' })).toEqual(tools(kind, {}));
    expect(tools('angle', { angles: 'both', angleTool: 'corner' })).toEqual([
      'tape from the belt, 4 in knife',
      'corner tool, both sides',
    ]);
  });

  it('centre a boxed butt with a knife the same day, and no backed one', () => {
    expect(tools('butt', { tools: 'boxes' })[1]).toContain('centred with a 12 in knife the same day');
    expect(tools('butt', { tools: 'boxes', centring: 'none' })[1]).not.toContain('centred');
    expect(tools('backedButt', { tools: 'boxes' })[1]).not.toContain('centred');
  });

  it('lay tape from the belt, wet, or with an applicator or a taper and an angle head', () => {
    const first = (kind: 'flat' | 'angle', laying: (typeof ANSWERS.laying)[number]) => tools(kind, { laying })[0];
    expect(first('flat', 'dispenser')).toBe('wet-tape dispenser, 6 in knife');
    expect(first('angle', 'applicator')).toBe('applicator, roller and angle head');
    expect(first('flat', 'taper')).toBe('mechanical taper, 6 in knife');
    expect(first('angle', 'taper')).toBe('mechanical taper, roller and angle head');
    expect(tools('flat', { tape: 'mesh' })[0]).toBe('mesh from the roll, 6 in knife');
  });

  it('reach the width that a joint is finished to: half of it on each side of a butt’s crest', () => {
    const widths = (kind: 'flat' | 'butt', width: number) =>
      coatsFor(kind, methodOf({ classes: { [kind]: { width } } })).map(
        (coat) => Math.round(coat.tool.width / 2.54) / 10,
      );
    expect(widths('flat', 18)).toEqual([6, 10, 18]);
    expect(widths('flat', 8)).toEqual([6, 8, 8]);
    expect(widths('butt', 36)).toEqual([6, 12, 18]);
  });
});

describe('the mud of a school', () => {
  it('is drying mud throughout, setting mud for tape and fill, or to the end', () => {
    const muds = (mud: (typeof ANSWERS.mud)[number]) => coatsFor('flat', methodOf({ mud })).map((coat) => coat.mud);
    expect(muds('drying')).toEqual(['taping', 'all-purpose', 'topping']);
    expect(muds('settingFirst')).toEqual(['setting', 'setting', 'topping']);
    expect(muds('setting')).toEqual(['setting', 'setting', 'setting']);
  });

  it('is logged by the label that was chosen', () => {
    const [tape] = coatsFor('flat', methodOf({ mud: 'setting', settingMinutes: 20 }));
    expect(tape && mudKind(tape)).toEqual({ kind: 'setting', minutes: 20 });
    const [drying] = coatsFor('flat', methodOf({}));
    expect(drying && mudKind(drying)).toEqual({ kind: 'drying' });
  });

  it('straight from the box is stiff after the tape', () => {
    expect(
      coatsFor('flat', methodOf({ consistency: 'box' })).map(({ consistency, mud }) => [consistency, mud]),
    ).toEqual([
      ['thin', 'taping'],
      ['stiff', 'topping'],
      ['stiff', 'topping'],
    ]);
  });
});

describe('the rounds of angles', () => {
  const rounds = (choices: MethodChoices) =>
    coatsFor('angle', methodOf(choices)).map((coat) => [coat.side, coat.round]);

  it('are one for each side, in turn: two coats of both sides take four after the tape', () => {
    expect(rounds({ classes: { angle: { coats: 'two' } } })).toEqual([
      [undefined, 'tape'],
      ['first', 'fill'],
      ['second', 'finish'],
      ['first', 'extra'],
      ['second', 'sides'],
    ]);
  });

  it('are one for both sides with a corner tool, and left and right where no walls are chosen', () => {
    expect(rounds({ angles: 'both', angleTool: 'corner' })).toEqual([
      [undefined, 'tape'],
      [undefined, 'fill'],
    ]);
    expect(rounds({ angles: 'sides' }).map(([side]) => side)).toEqual([undefined, 'left', 'right']);
  });
});

describe('how many coats', () => {
  it('is for the lead to say from level 3 on', () => {
    const keys = (coats: (typeof ANSWERS.coats)[number], level: 2 | 3 | 4) =>
      coatsFor('flat', methodOf({ coats }, level)).map(({ key }) => key);
    expect(keys('one', 4)).toEqual(['tape', 'fill']);
    expect(keys('three', 3)).toEqual(['tape', 'fill', 'finish', 'extra']);
    expect(keys('three', 2)).toEqual(['tape']);
    expect(coatsFor('angle', methodOf({ coats: 'three', angles: 'both' })).map(({ key }) => key)).toEqual([
      'tape',
      'fill',
      'finish',
    ]);
    expect(keys('level', 4)).toEqual(coatKeysFor('flat', 4));
  });

  it('is the tape alone under trim, and a skim over all where it is chosen for sealer', () => {
    expect(coatsFor('offAngle', methodOf({ hard: 'trim' })).map(coatName)).toEqual(['Tape coat, then trim and caulk']);
    expect(coatsFor('flat', methodOf({ hard: 'trim' }))).toHaveLength(3);
    expect(coatsFor('surface', methodOf({ last: 'skim' })).map(({ key }) => key)).toEqual(['skim']);
    expect(coatsFor('surface', methodOf({ last: 'skim' }, 3))).toEqual([]);
  });
});

describe('the ladder of a class', () => {
  it('has scraping between the coats, sanding at its end, and nothing at level 0', () => {
    expect(
      ladderFor('flat', methodOf({})).map((step) =>
        step.kind === 'coat' ? coatName(step.coat) : stepWords(step, 'in').name,
      ),
    ).toEqual([
      'Pre-fill',
      'Tape coat',
      'Scrape and dust off',
      'Fill coat',
      'Scrape and dust off',
      'Finish coat',
      'Sand',
    ]);
    expect(ladderFor('flat', methodOf({}, 0))).toEqual([]);
  });

  it('scrapes the sides of an angle once, not before the side that was not touched', () => {
    const kinds = ladderFor('angle', methodOf({})).map(({ kind }) => kind);
    expect(kinds).toEqual(['prefill', 'coat', 'between', 'coat', 'coat', 'sand']);
  });

  it('covers hard joints at the end instead of sanding them', () => {
    expect(ladderFor('existing', methodOf({ hard: 'trim' })).at(-1)?.kind).toBe('cover');
  });
});

/** Any method that the schema takes. */
const anyChoices = () => {
  const said = Object.fromEntries(
    Object.entries(ANSWERS).map(([question, answers]) => [
      question,
      fc.option(fc.constantFrom(...answers), { nil: undefined }),
    ]),
  );
  const own = fc.record({ ...said, width: fc.option(fc.integer({ min: 4, max: 60 }), { nil: undefined }) });
  return fc
    .record({ ...said, classes: fc.dictionary(fc.constantFrom(...METHOD_CLASSES), own, { maxKeys: 4 }) })
    .map((choices) => choicesSchema.parse(JSON.parse(JSON.stringify(choices))));
};

describe('any method', () => {
  it('runs its coats in rounds that never go back, each named once, none wider than a man can pull', () => {
    fc.assert(
      fc.property(anyChoices(), fc.constantFrom(0, 1, 2, 3, 4, 5), (choices, level) => {
        const method = resolveMethod({ unit: 'in', method: { ...choices, level } });
        for (const kind of COATED_CLASSES) {
          const coats = coatsFor(kind, method);
          const rounds = coats.map(({ round }) => COAT_KEYS.indexOf(round));
          expect(
            [...rounds].sort((a, b) => a - b),
            kind,
          ).toEqual(rounds);
          expect(new Set(coats.map(({ id }) => id)).size).toBe(coats.length);
          for (const {
            tool: { width },
            settingMinutes,
            mud,
          } of coats) {
            expect(width).toBeGreaterThan(0);
            expect(settingMinutes !== undefined).toBe(mud === 'setting');
          }
          if (level === 0) expect(coats).toEqual([]);
        }
      }),
    );
  });

  it('puts every class somewhere in every round that it has', () => {
    fc.assert(
      fc.property(anyChoices(), (choices) => {
        const { all } = resolveMethod({ unit: 'in', method: { ...choices, level: 5 } });
        for (const kind of COATED_CLASSES)
          for (const round of COAT_KEYS)
            if (kind !== 'surface' || round !== 'tape')
              expect(placeInSequence(kind, round, all)).toBeGreaterThanOrEqual(0);
      }),
    );
  });
});

describe('the methods that ship', () => {
  it.each(['in', 'mm'] as const)('are methods of a house file in %s', (unit) => {
    for (const { choices, id } of startingMethods(unit)) {
      const parsed = methodSchema.safeParse({ ...choices, level: 4 });
      expect(parsed.success, id).toBe(true);
    }
  });

  it('in metric taper jointing run the fill 50 mm past the tape coat on each side', () => {
    // common practice, no source
    const metric = startingMethods('mm').find(({ id }) => id === 'metric');
    const [tape, fill] = coatsFor('flat', resolveMethod({ unit: 'mm', method: { ...metric?.choices, level: 4 } }));
    expect(((fill?.tool.width ?? 0) - (tape?.tool.width ?? 0)) / 2).toBeGreaterThan(45);
    expect(((fill?.tool.width ?? 0) - (tape?.tool.width ?? 0)) / 2).toBeLessThan(55);
  });
});
