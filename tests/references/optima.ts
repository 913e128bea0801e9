import { createHash } from 'node:crypto';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import loadHighs from 'highs';

/** What HiGHS said of programs, by their hashes; null of one that has no solution. */
type Kept = Readonly<Record<string, number | null>>;

export interface Optima {
  /** The least value of a program in CPLEX's LP format; undefined where nothing satisfies it. */
  readonly least: (program: string) => number | undefined;
  /** Writes down what was asked for, where that is wanted. */
  readonly keep: () => void;
}

/**
 * Least values of integer programs, found by HiGHS.
 *
 * What it found is kept beside the tests by a hash of the program, since finding it again is most of a minute's work. A program that
 * is not kept, as one that has changed, is solved; so is every tenth that is kept, which must be what was kept. With `OAK_KEEP_OPTIMA`
 * in the environment all are solved, and the file holds afterwards what was asked for and nothing else.
 *
 * @param name which file, of `tests/fixtures/optima`
 */
export async function optimaOf(name: string): Promise<Optima> {
  const highs = await loadHighs();
  const file = join('tests/fixtures/optima', `${name}.json`);
  const anew = process.env.OAK_KEEP_OPTIMA !== undefined;
  const kept: Kept = anew ? {} : JSON.parse(readFileSync(file, 'utf8'));
  const asked: Record<string, number | null> = {};
  const solve = (program: string) => {
    const once = (presolve: 'on' | 'off') => highs.solve(program, { output_flag: false, mip_rel_gap: 0, presolve });
    const first = once('on');
    // Its presolve calls some programs infeasible of which a solution is at hand.
    const { Status, ObjectiveValue } = first.Status === 'Infeasible' ? once('off') : first;
    if (Status === 'Optimal') return ObjectiveValue;
    if (Status === 'Infeasible') return null;
    throw new Error(`the program is ${Status}`);
  };
  return {
    least: (program) => {
      const hash = createHash('sha256').update(program).digest('hex').slice(0, 16);
      const was = kept[hash];
      const again = was === undefined || Number.parseInt(hash.slice(0, 8), 16) % 10 === 0;
      const least = again ? solve(program) : was;
      if (was !== undefined && (was === null || least === null ? was !== least : Math.abs(was - least) > 1e-6))
        throw new Error(`${file} says ${was} of ${hash}, HiGHS says ${least}`);
      asked[hash] = least;
      return least ?? undefined;
    },
    keep: () => {
      if (!anew) return;
      mkdirSync(dirname(file), { recursive: true });
      writeFileSync(file, `${JSON.stringify(asked, undefined, 2)}\n`);
    },
  };
}
