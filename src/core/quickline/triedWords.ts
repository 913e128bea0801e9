import { fromMm, type LengthUnit, MM_PER_FOOT } from '../measure/unit';
import type { QuickRoom } from '../room/schema';
import { inchesText } from './lengthText';
import { exampleOf, specOf } from './lineSpecs';
import type { LineMend, Piece } from './quickLinePieces';

/** A sentence about a line, with a button that rewrites the line. */
export interface LineHint {
  readonly reason: string;
  readonly mend: LineMend;
}

/** Items by the words that people try for them. Common practice, no source. */
const ITEMS_BY_WORD: readonly (readonly [
  words: RegExp,
  item: 'gable' | 'shed' | 'soffit' | 'door' | 'opening' | 'column',
])[] = [
  [/^(vault(ed)?|cathedral|gabled)$/, 'gable'],
  [/^(slope[d]?|sloping|pitch(ed)?)$/, 'shed'],
  [/^(beam|bulkhead|dropped|drop|duct|chase)$/, 'soffit'],
  [/^(slider|sliding|patio|french|double|pocket|bifold)$/, 'door'],
  [/^(archway|arch|arched|cased|passage|pass-through)$/, 'opening'],
  [/^(post|pillar|chimney|fireplace)$/, 'column'],
];
const OWN_ROOM = /^(closets?|pantry|wic|walk-in|wardrobe)$/;
const L_SHAPE = /\bl[- ]?shaped?\b/i;
const BAY = /\bbay\b/i;
const VAULT = /\b(vault(ed)?|cathedral)\b/i;

/**
 * Explains an item that the line does not know by the item that is meant.
 *
 * @param item one piece of the line between commas
 * @param head the piece before the first comma
 * @example hintForItem("vault 4'", …)  // { reason: '"vault" is typed as a gable. Example: gable 4\' walls 1 3', … }
 */
export function hintForItem(item: Piece, head: Piece, unit: LengthUnit): LineHint | undefined {
  const word = /^\S+/.exec(item.text)?.[0].toLowerCase() ?? '';
  const sizes = /\d.*$/.exec(item.text)?.[0] ?? '';
  if (OWN_ROOM.test(word)) return ownRoom(item, head, sizes, unit);
  if (L_SHAPE.test(item.text) || word === 'bay')
    return {
      reason: 'Walk along the walls instead of typing a length and a width.',
      mend: {
        label: 'Use an example',
        line: (line) => rewriteHead(withoutPiece(line, item), head, word === 'bay' ? bayWalk : lWalk, unit),
      },
    };
  const kind = ITEMS_BY_WORD.find(([words]) => words.test(word))?.[1];
  if (!kind) return undefined;
  const example = withSizes(exampleFor(kind, word, unit), sizes);
  return {
    reason: `"${word}" is typed as ${kind === 'opening' ? 'an opening' : `a ${kind}`}. Example: ${example}`,
    mend: { label: 'Use the example', line: (line) => replacePiece(line, item, example) },
  };
}

/**
 * Explains how to type the shape that a room's name speaks of, where the room was read as a plain box.
 *
 * @param head the piece of the line before its first comma
 */
export function hintForName(room: QuickRoom, head: Piece, unit: LengthUnit): LineHint | undefined {
  if (room.outline.length !== 4) return undefined;
  const walk = L_SHAPE.test(room.name) ? lWalk : BAY.test(room.name) ? bayWalk : undefined;
  if (walk)
    return {
      reason: `This is a plain box. Walk along the walls of ${walk === lWalk ? 'an L' : 'a bay'}:`,
      mend: { label: 'Use an example', line: (line) => rewriteHead(line, head, walk, unit, room) },
    };
  if (VAULT.test(room.name) && room.ceiling.shape === 'flat') {
    const item = exampleOf(specOf('gable'), unit);
    return {
      reason: 'The ceiling is flat. A vault is a gable or a shed:',
      mend: { label: `Add ${item}`, line: (line) => `${line.trimEnd().replace(/,$/, '')}, ${item}` },
    };
  }
  return undefined;
}

/** The example of an item; a cased opening has no arch. */
function exampleFor(kind: (typeof ITEMS_BY_WORD)[number][1], word: string, unit: LengthUnit): string {
  const example = exampleOf(specOf(kind), unit);
  return kind === 'opening' && !word.startsWith('arch') ? example.replace(/ at .*$/, ' casing') : example;
}

/** The example with the sizes that were typed, where there are as many as the item takes. */
function withSizes(example: string, typed: string): string {
  const [item = '', lead = '', ...rest] = example.split(' ');
  const sizes = /^[^\sx×]+(?:\s*[x×]\s*[^\sx×]+)*/.exec(typed)?.[0].replaceAll(' ', '') ?? '';
  const count = (text: string) => text.split(/[x×]/).length;
  return sizes !== '' && count(sizes) === count(lead) ? [item, sizes, ...rest].join(' ') : example;
}

function ownRoom(item: Piece, head: Piece, sizes: string, unit: LengthUnit): LineHint {
  const size = /[x×]/i.test(sizes) ? sizes : unit === 'in' ? "6' x 2'" : '1800 x 600';
  return {
    reason: 'A closet is a room of its own, on its own line.',
    mend: {
      label: 'Move it to its own line',
      line: (line) => `${withoutPiece(line, item)}\n${nameIn(head)} closet: ${size}`,
    },
  };
}

type Walk = (sides: { readonly length: number; readonly width: number }, text: (length: number) => string) => string;

/** Three quarters of the box: the corner at the end of wall 2 is cut out. */
const lWalk: Walk = ({ length, width }, text) => {
  const [a, b] = [Math.round(length / 2), Math.round(width / 2)];
  return `r ${text(length)} d ${text(b)} l ${text(length - a)} d ${text(width - b)} l ${text(a)} u`;
};

/** The box with a bay of half of its length and a sixth of its width along wall 3. */
const bayWalk: Walk = ({ length, width }, text) => {
  const [side, slant] = [Math.round(length / 4), Math.round(length / 8)];
  const middle = length - 2 * side - 2 * slant;
  return [
    `r ${text(length)} d ${text(width)} l ${text(side)}`,
    `dl ${text(slant)} x ${text(slant)} l ${text(middle)} ul ${text(slant)} x ${text(slant)}`,
    `l ${text(side)} u`,
  ].join(' ');
};

const USUAL_SIDES = { in: { length: 240, width: 180 }, mm: { length: 6000, width: 4500 } } as const;

/** The line with a walk in place of its sizes: its name, its height and its items stay. */
function rewriteHead(line: string, head: Piece, walk: Walk, unit: LengthUnit, room?: QuickRoom): string {
  const [length = 0, width = 0] = room?.outline[2] ?? [];
  const isWide = Math.min(length, width) >= fromMm(MM_PER_FOOT * 4, unit);
  const sides = isWide ? { length, width } : USUAL_SIDES[unit];
  const height = room ? `, h ${inchesText(room.height, unit)}` : '';
  const text = (value: number) => inchesText(value, unit);
  return `${nameIn(head)}: ${walk(sides, text)}${height}${line.slice(head.at + head.length)}`;
}

/** Returns the name at the start of a line, up to its first size. */
const nameIn = (head: Piece): string => /^(?:"[^"]*"|[^:\d]*)/.exec(head.text)?.[0].trim() ?? '';

/** The line without one of its items and the comma before it. */
function withoutPiece(line: string, { at, length }: Piece): string {
  const before = line.slice(0, at).replace(/,\s*$/, '');
  return before + line.slice(at + length);
}

const replacePiece = (line: string, { at, length }: Piece, text: string): string =>
  line.slice(0, at) + text + line.slice(at + length);
