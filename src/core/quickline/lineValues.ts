import type { LengthUnit } from '../measure/unit';
import type { HangChoices, HungCourses } from '../room/schema';
import { inchesText } from './lengthText';
import { Misread, type Piece, pieceOf, readPositive } from './quickLinePieces';

/** The id of a face as a lead names it: `wall 2` is w1, `ceiling` is c0; other ids stand for themselves. */
export function faceName({ text, at, length }: Piece): string {
  const wall = /^wall\s+([1-9]\d*)$/i.exec(text)?.[1];
  if (wall) return `w${Number(wall) - 1}`;
  if (/^ceiling$/i.test(text)) return 'c0';
  if (/^[\w.]+$/.test(text)) return text;
  throw new Misread('a face is "wall 2", "ceiling" or its id', at, Math.max(1, length));
}

/** A face as the line writes it. */
export function faceText(id: string): string {
  const wall = /^w(\d+)$/.exec(id)?.[1];
  return wall ? `wall ${Number(wall) + 1}` : id === 'c0' ? 'ceiling' : id;
}

/** The id of an edge: `w0~w1`, `w0.o1.head`, `w2.top`. */
export function edgeName({ text, at, length }: Piece): string {
  if (/^[\w.]+(?:~[\w.]+)?$/.test(text)) return text;
  throw new Misread('an edge is written like w0~w1 or w0.o1.head', at, Math.max(1, length));
}

/** Pieces of a text between plus signs. */
function atPlus({ text, at }: Piece): readonly Piece[] {
  let from = at;
  return text.split('+').map((part) => {
    const piece = pieceOf(part, from);
    from += part.length + 1;
    return piece;
  });
}

/** `48x8'/10'/12' + 54x12'`: widths with the lengths they come in. */
export function boardsFrom(piece: Piece, unit: LengthUnit): NonNullable<HangChoices['boards']> {
  return atPlus(piece).map((board) => {
    const [width, lengths, more] = board.text.split(/[x×]/i);
    if (!width || !lengths || more !== undefined)
      throw new Misread("boards are written width x lengths: 48x8'/12'", board.at, Math.max(1, board.length));
    const first = pieceOf(width, board.at);
    let from = board.at + width.length + 1;
    return {
      width: readPositive(first, unit),
      lengths: lengths.split('/').map((text) => {
        const length = readPositive(pieceOf(text, from), unit);
        from += text.length + 1;
        return length;
      }),
    };
  });
}

export const boardsText = (boards: NonNullable<HangChoices['boards']>, unit: LengthUnit): string =>
  boards
    .map(({ width, lengths }) => `${width}x${lengths.map((length) => inchesText(length, unit)).join('/')}`)
    .join(' + ');

/**
 * `48 at 5'4/10' backed + 48`: courses by their breadth, with their butts; all of them over a backer, or `5'4 backed/10'` one.
 * With `bevelled` their paper edges are cut back; `flipped` at the end is a rip that hangs the other way round.
 */
export function coursesFrom(piece: Piece, unit: LengthUnit): HungCourses['courses'] {
  return atPlus(piece).map((course) => {
    const match = /^(.*?)(?:\s+at\s+(.*?))?(?:\s+(backed|bevelled))?(?:\s+(flipped))?$/i.exec(course.text);
    const [, breadth = '', butts, all, flipped] = match ?? [];
    let from = course.at + (butts === undefined ? 0 : course.text.indexOf(butts, breadth.length));
    const places = (butts === undefined ? [] : butts.split('/')).map((text) => {
      const [, place = '', ends] = /^(.*?)(?:\s+(backed|bevelled))?$/i.exec(text) ?? [];
      const at = readPositive(pieceOf(place, from), unit);
      from += text.length + 1;
      return { at, ends: ends?.toLowerCase() };
    });
    const said = all?.toLowerCase();
    // What is said last is said of all, but where something is said of others alone.
    const alone = places.some(({ ends }) => ends !== undefined);
    const which = (kind: 'backed' | 'bevelled') => {
      const some = places.flatMap(({ at, ends }, index) =>
        ends === kind || (alone && said === kind && index === places.length - 1) ? [at] : [],
      );
      if (some.length === places.length && some.length > 0) return true;
      return some.length > 0 ? some : !alone && said === kind;
    };
    const bevelled = which('bevelled');
    return {
      breadth: readPositive(pieceOf(breadth, course.at), unit),
      butts: places.map(({ at }) => at).sort((a, b) => a - b),
      backed: which('backed'),
      ...(bevelled && { bevelled }),
      ...(flipped && { flipped: true }),
    };
  });
}

export const coursesText = (courses: HungCourses['courses'], unit: LengthUnit): string =>
  courses
    .map(({ breadth, butts, backed, bevelled, flipped }) => {
      const some = (said: typeof bevelled) => (typeof said === 'object' ? said : []);
      // What is said last is said of all: those of which something is said alone come first.
      const rest = butts.filter((butt) => !some(backed).includes(butt) && !some(bevelled).includes(butt));
      const places = [
        ...some(backed).map((butt) => `${inchesText(butt, unit)} backed`),
        ...some(bevelled).map((butt) => `${inchesText(butt, unit)} bevelled`),
        ...rest.map((butt) => inchesText(butt, unit)),
      ];
      const all = backed === true ? 'backed' : bevelled === true ? 'bevelled' : '';
      return [String(breadth), places.length > 0 && `at ${places.join('/')}`, all, flipped && 'flipped']
        .filter(Boolean)
        .join(' ');
    })
    .join(' + ');
