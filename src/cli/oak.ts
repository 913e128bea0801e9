import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { dryReport, houseFrom, materialsReport, Refusal, takeOffReport } from './commands';
import { tableText } from './tableText';

const HELP: Readonly<Record<string, string>> = {
  takeoff: 'oak takeoff FILE [--text]\n  Faces, boards and joints of every room of a house file, and the totals.',
  materials: 'oak materials FILE [--text]\n  Tape, mud by product and coat, bead and screws, with waste and packs.',
  dry: 'oak dry --temp 70F --rh 50 [--air 0.5] [--thick 1/16] [--mud drying|45] [--text]\n  Hours until a coat sets, may be coated again and may be sanded; air in m/s.',
};

main();

function main(): void {
  const [command, ...rest] = process.argv.slice(2);
  try {
    print(textFor(command, rest));
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    process.stderr.write(`${error.message}\n`);
    process.exitCode = 2;
  }
}

function textFor(command: string | undefined, rest: readonly string[]): string {
  if (command === undefined || command === '--help' || command === 'help') {
    return `oak COMMAND\n\n${Object.values(HELP).join('\n')}`;
  }
  const help = HELP[command];
  if (help === undefined) throw new Refusal(`${command}: is no command; there are ${Object.keys(HELP).join(', ')}`);
  const { values, positionals } = optionsFrom(rest);
  if (values.help) return help;
  const report = reportFor(command, values, positionals);
  return values.text ? tableText(report) : JSON.stringify(report, null, 2);
}

function optionsFrom(args: readonly string[]) {
  const text = { type: 'string' } as const;
  const flag = { type: 'boolean' } as const;
  try {
    return parseArgs({
      args: [...args],
      allowPositionals: true,
      options: { text: flag, help: flag, temp: text, rh: text, air: text, thick: text, mud: text },
    });
  } catch (error) {
    throw new Refusal(error instanceof Error ? (error.message.split('. ')[0] ?? error.message) : String(error));
  }
}

function reportFor(
  command: string,
  values: ReturnType<typeof optionsFrom>['values'],
  files: readonly string[],
): object {
  if (command === 'dry') return dryReport(values);
  const [file, second] = files;
  if (file === undefined) throw new Refusal(`${command}: needs a house file`);
  if (second !== undefined) throw new Refusal(`${second}: one house file at a time`);
  const house = houseFrom(contentOf(file), file);
  return command === 'takeoff' ? takeOffReport(house) : materialsReport(house);
}

function contentOf(file: string): string {
  try {
    return readFileSync(file, 'utf8');
  } catch (error) {
    const missing = error instanceof Error && 'code' in error && error.code === 'ENOENT';
    throw new Refusal(`${file}: ${missing ? 'there is no such file' : 'cannot be read'}`);
  }
}

function print(text: string): void {
  process.stdout.write(`${text}\n`);
}
