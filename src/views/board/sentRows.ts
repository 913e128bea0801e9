import { type Packed, packed, unpacked } from '@/ui/packed';
import type { BoardCell, BoardRow } from './boardRows';

type SentCell = Omit<BoardCell, 'words' | 'coats' | 'on'> & Readonly<Record<'words' | 'coats' | 'on', number>>;
type SentRow = Omit<BoardRow, 'faces' | 'cells'> & { readonly faces: number; readonly cells: readonly SentCell[] };

/** The rows of a board as they are sent: what many cells say is there once, and the cells name it by its number. */
interface SentBoard {
  readonly rows: readonly SentRow[];
  readonly faces: readonly BoardRow['faces'][];
  readonly words: readonly BoardCell['words'][];
  readonly coats: readonly BoardCell['coats'][];
  readonly on: readonly BoardCell['on'][];
}
export type SentRows = Packed<SentBoard>;

export function sentRows(rows: readonly BoardRow[]): SentRows {
  const [faces, words, coats, on] = [
    listed<BoardRow['faces']>(),
    listed<BoardCell['words']>(),
    listed<BoardCell['coats']>(),
    listed<BoardCell['on']>(),
  ];
  const sent = rows.map(
    (row): SentRow => ({
      ...row,
      faces: faces.numberOf(row.faces),
      cells: row.cells.map((cell) => ({
        ...cell,
        words: words.numberOf(cell.words),
        coats: coats.numberOf(cell.coats),
        on: on.numberOf(cell.on),
      })),
    }),
  );
  return packed<SentBoard>({ rows: sent, faces: faces.all, words: words.all, coats: coats.all, on: on.all });
}

export function receivedRows(sent: SentRows): readonly BoardRow[] {
  const { rows, faces, words, coats, on } = unpacked(sent);
  const at = <Value>(all: readonly Value[], number: number): Value => {
    const value = all[number];
    if (value === undefined) throw new Error(`nothing of number ${number} was sent with the rows`);
    return value;
  };
  return rows.map((row) => ({
    ...row,
    faces: at(faces, row.faces),
    cells: row.cells.map((cell) => ({
      ...cell,
      words: at(words, cell.words),
      coats: at(coats, cell.coats),
      on: at(on, cell.on),
    })),
  }));
}

/** What does not change from page to page is not written out each time. */
const texts = new WeakMap<object, string>();
function textOf(value: object): string {
  const text = texts.get(value) ?? JSON.stringify(value);
  texts.set(value, text);
  return text;
}

/** A list in which what says the same stands once. */
function listed<Value extends object>() {
  const numbers = new Map<string, number>();
  const all: Value[] = [];
  return {
    all,
    numberOf: (value: Value): number => {
      const key = textOf(value);
      const known = numbers.get(key);
      if (known !== undefined) return known;
      numbers.set(key, all.length);
      return all.push(value) - 1;
    },
  };
}
