import { readFileSync } from 'node:fs';
import { basename, extname } from 'node:path';
import { parseArgs } from 'node:util';
import {
  cutReport,
  dryReport,
  houseFrom,
  jsonFrom,
  lineReport,
  materialsReport,
  Refusal,
  takeOffReport,
} from './commands';
import { oneLine } from './oneLine';
import { planReport } from './planReport';
import { stateReport } from './stateReport';
import { tableText } from './tableText';

const TEXT = { type: 'string' } as const;
const FLAG = { type: 'boolean' } as const;
const EVERYWHERE = { text: FLAG, help: FLAG } as const;
const PLAN = { people: TEXT, from: TEXT, zone: TEXT } as const;
const CUT = { sticks: TEXT, kerf: TEXT } as const;
const STATE = { entries: TEXT, at: TEXT, temp: TEXT, rh: TEXT, people: TEXT, zone: TEXT } as const;
const EDIT = { 'house-after': TEXT, edited: TEXT } as const;
const DRY = { temp: TEXT, rh: TEXT, air: TEXT, thick: TEXT, mud: TEXT } as const;

type Values = Readonly<Record<string, string | boolean | undefined>>;

/** A command: its help, the options and words that it knows, and what it prints. */
interface Command {
  readonly help: string;
  readonly options: Readonly<Record<string, typeof TEXT | typeof FLAG>>;
  /** What its one word is, where it takes one. */
  readonly word: string | undefined;
  /** The command takes several words, such as files. */
  readonly several?: true;
  /** @param more the words after the first */
  readonly run: (word: string, values: Values, more: readonly string[]) => object;
}

const COMMANDS: ReadonlyMap<string, Command> = new Map<string, Command>([
  [
    'takeoff',
    {
      help: 'oak takeoff FILE [--text]\n  Faces, boards and joints of every room of a house file, and the totals.',
      options: {},
      word: 'a house file',
      run: (file) => takeOffReport(houseFrom(contentOf(file), file)),
    },
  ],
  [
    'materials',
    {
      help: 'oak materials FILE [--text]\n  Tape, mud by product and coat, bead by the piece and screws, with waste and packs.',
      options: {},
      word: 'a house file',
      run: (file) => materialsReport(houseFrom(contentOf(file), file)),
    },
  ],
  [
    'cut',
    {
      help: 'oak cut FILE [--sticks 96,120,144] [--kerf 1/8] [--text]\n  Bead and trim cut from sticks at the least length, which edge from which, beside the least that there can be.',
      options: CUT,
      word: 'a house file',
      run: (file, values) => cutReport(houseFrom(contentOf(file), file), wordsOf(CUT, values)),
    },
  ],
  [
    'plan',
    {
      help: 'oak plan FILE [FILE …] [--people 4] [--from 2031-05-05T07:00] [--zone Europe/Oslo] [--text]\n  Who runs what when in one house or several, by a plain crew in usual air, beside the soonest that any plan could finish.',
      options: PLAN,
      word: 'a house file',
      several: true,
      run: (file, values, more) => {
        const ids = houseIds([file, ...more]);
        const named = (path: string, index: number) => ({
          id: ids[index] ?? path,
          house: houseFrom(contentOf(path), path),
        });
        const others = more.map((path, index) => named(path, index + 1));
        return planReport([named(file, 0), ...others], wordsOf(PLAN, values), Date.now());
      },
    },
  ],
  [
    'state',
    {
      help: 'oak state FILE --entries ENTRIES --at 2031-05-06T07:00:00Z [--temp 68F --rh 50] [--house-after FILE --edited 2031-05-05T12:00:00Z] [--people 4] [--zone Europe/Oslo] [--text]\n  What every screen says of a house after some entries: rooms, classes, drying, sanding, sign-off, goods, plan.',
      options: { ...STATE, ...EDIT },
      word: 'a house file',
      run: (file, values) => {
        const after = textOf(values['house-after']);
        const entries = textOf(values.entries);
        if (entries === undefined) throw new Refusal('--entries: is missing; write the name of a file of entries');
        return stateReport(
          houseFrom(contentOf(file), file),
          jsonFrom(contentOf(entries), entries),
          after === undefined ? undefined : houseFrom(contentOf(after), after),
          wordsOf({ ...STATE, edited: TEXT }, values),
        );
      },
    },
  ],
  [
    'line',
    {
      help: 'oak line "TEXT" [--unit in|mm] [--text]\n  The room that a quick line says, as in a house file.',
      options: { unit: TEXT },
      word: 'a quick line in quotation marks',
      run: (text, { unit }) => lineReport(text, textOf(unit)),
    },
  ],
  [
    'dry',
    {
      help: 'oak dry --temp 70F --rh 50 [--air 0.5] [--thick 1/16] [--mud drying|45] [--text]\n  Hours until a coat sets, may be coated again and may be sanded; air in m/s.',
      options: DRY,
      word: undefined,
      run: (_, values) => dryReport(wordsOf(DRY, values)),
    },
  ],
]);

/** Returns names for the houses of files: the file's own, with a number where two are called alike. */
function houseIds(files: readonly string[]): readonly string[] {
  const taken = new Set<string>();
  return files.map((file) => {
    const stem = basename(file, extname(file));
    let id = stem;
    for (let number = 2; taken.has(id); number += 1) id = `${stem}-${number}`;
    taken.add(id);
    return id;
  });
}

/** What an invocation prints, and its exit code: 2 with one line on the error stream for whatever is asked wrongly. */
export interface Outcome {
  readonly status: 0 | 2;
  readonly stdout: string;
  readonly stderr: string;
}

/**
 * Runs the `oak` command.
 *
 * @param args as written on the command line
 * @example runOak(['dry', '--rh', '50']).stderr  // '--temp: is missing; write 70F or 21C\n'
 */
export function runOak([command, ...rest]: readonly string[]): Outcome {
  try {
    return { status: 0, stdout: `${textFor(command, rest)}\n`, stderr: '' };
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return { status: 2, stdout: '', stderr: `${oneLine(error.message)}\n` };
  }
}

function textFor(name: string | undefined, rest: readonly string[]): string {
  if (name === undefined || name === '--help' || name === 'help') {
    return `oak COMMAND\n\n${[...COMMANDS.values()].map(({ help }) => help).join('\n')}`;
  }
  const command = COMMANDS.get(name);
  if (!command) throw new Refusal(`${name}: is no command; there are ${[...COMMANDS.keys()].join(', ')}`);
  const { values, positionals } = argumentsOf(rest, command);
  if (values.help) return command.help;
  const [word, ...more] = positionals;
  const [second] = more;
  if (command.word === undefined && word !== undefined) throw new Refusal(`${word}: ${name} takes options only`);
  if (command.word !== undefined && word === undefined) throw new Refusal(`${name}: needs ${command.word}`);
  if (second !== undefined && !command.several)
    throw new Refusal(`${second}: ${name} takes ${command.word}, and no more`);
  const report = command.run(word ?? '', values, more);
  return values.text ? tableText(report) : JSON.stringify(report, null, 2);
}

function argumentsOf(args: readonly string[], { options }: Command): { values: Values; positionals: string[] } {
  try {
    return parseArgs({
      args: numbersAreNoOptions(args),
      allowPositionals: true,
      options: { ...EVERYWHERE, ...options },
    });
  } catch (error) {
    throw new Refusal(error instanceof Error ? (error.message.split('. ')[0] ?? error.message) : String(error));
  }
}

/** No option begins with a number: `--temp -5C` is one with its value, and a line that begins so is a line. */
function numbersAreNoOptions(args: readonly string[]): string[] {
  const known: string[] = [];
  const words: string[] = [];
  for (const argument of args) {
    const last = known.at(-1);
    if (!/^-[.\d]/.test(argument)) known.push(argument);
    else if (last?.startsWith('--') && !last.includes('=')) known[known.length - 1] = `${last}=${argument}`;
    else words.push(argument);
  }
  return words.length > 0 ? [...known, '--', ...words] : known;
}

/** The options that were written, of those that there are. */
const wordsOf = (options: Command['options'], values: Values): Record<string, string> =>
  Object.fromEntries(
    Object.keys(options).flatMap((key) => {
      const text = textOf(values[key]);
      return text === undefined || text === '' ? [] : [[key, text]];
    }),
  );

const textOf = (value: string | boolean | undefined): string | undefined =>
  typeof value === 'string' ? value : undefined;

function contentOf(file: string): string {
  try {
    return readFileSync(file, 'utf8');
  } catch (error) {
    const missing = error instanceof Error && 'code' in error && error.code === 'ENOENT';
    throw new Refusal(`${file}: ${missing ? 'there is no such file' : 'cannot be read'}`);
  }
}
