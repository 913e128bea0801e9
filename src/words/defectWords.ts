import type { OpenItem } from '../core/log/roomState';
import type { LengthUnit } from '../core/measure/unit';
import type { Account, Defect, DefectKind } from '../core/method/defects';
import { placesIn } from '../core/room/ids';
import type { Room } from '../core/room/schema';
import { findingOf, type KnifeFinding } from '../core/section/knifeCheck';
import { faceWords } from './faceWords';
import { lengthWords, roughLength, smallWords } from './lengthWords';
import { widthWords } from './sectionWords';

interface DefectWords {
  readonly name: string;
  /** What it comes from. */
  readonly cause: string;
  readonly mend: string;
}

/** What is wrong, what it comes from and how it is mended. Common practice, no source. */
export const DEFECT_WORDS: Readonly<Record<DefectKind, DefectWords>> = {
  bubble: {
    name: 'Bubble, loose tape',
    cause: 'too little mud under the tape, or coated before the tape coat was dry',
    mend: 'cut it out and tape it again',
  },
  tapeShows: {
    name: 'Tape shows',
    cause: 'too much mud left under it',
    mend: 'wipe it again while it is wet, else bury it with the next coat',
  },
  ridge: {
    name: 'Ridge, lap mark',
    cause: 'mud left at the edge of the knife',
    mend: 'scrape it before the next coat',
  },
  crown: { name: 'Crowned joint', cause: 'too thick and narrow', mend: 'feather it wider' },
  hollow: { name: 'Hollow', cause: 'wiped too hard, or shrunk', mend: 'fill the middle' },
  gouged: {
    name: 'Gouged corner',
    cause: 'the knife cut the other side while that was soft',
    mend: 'the next coat, one side at a time',
  },
  rounded: {
    name: 'Rounded corner',
    cause: 'a round knife, or too much mud',
    mend: 'square the knife, cut the corner out',
  },
  streak: {
    name: 'Streak, drag line',
    cause: 'a crumb in the mud or on the blade',
    mend: 'leave it for the next coat; in the last one clean mud and one more pass',
  },
  pinholes: {
    name: 'Pinholes',
    cause: 'air in the mud, or a hollow under it',
    mend: 'mix again, wipe tight, check for a hollow',
  },
  furred: { name: 'Furred paper', cause: 'sanded into the paper', mend: 'seal it, then skim' },
  crack: { name: 'Crack', cause: 'a deep fill of drying mud', mend: 'open it and fill it with setting mud' },
  beadOut: { name: 'Bead proud or buried', cause: 'set out of square', mend: 'take it off and set it again' },
  screwPop: {
    name: 'Screw pop',
    cause: 'loose board, or a proud screw',
    mend: 'drive a new screw beside it, set this one',
  },
  torn: {
    name: 'Torn paper',
    cause: 'a screw or a tool went through it',
    mend: 'cut it clean, seal it, fill it; a new screw beside it',
  },
  edgeShows: { name: 'Edge of a coat shows', cause: 'not feathered', mend: 'feather it wider' },
  cutLine: {
    name: 'Cut line in a butt',
    cause: 'crossed while the butt was soft',
    mend: 'the next coat; wait until it is firm',
  },
  heavyBottom: {
    name: 'Heavy bottom',
    cause: 'mud left low on the wall',
    mend: 'scrape it: the baseboard wants a flat wall',
  },
  showThrough: {
    name: 'Joint shows through',
    cause: 'painted or textured without sealing',
    mend: 'seal corner to corner',
  },
  gap: { name: 'Gap in the board', cause: 'board cut short or broken', mend: 'fill it with setting mud, then tape' },
  corner: {
    name: 'Broken corner',
    cause: 'board let down on it, or broken when it was hung',
    mend: 'cut out what is loose, fill it with setting mud, then tape',
  },
  ragged: {
    name: 'Ragged edge',
    cause: 'cut edge not dressed, paper furred',
    mend: 'trim it back with a sharp knife before the tape',
  },
  loose: { name: 'Loose board', cause: 'not screwed to its framing', mend: 'screw it until it is tight' },
  outlet: {
    name: 'Outlet at a joint',
    cause: 'a box set within a knife’s width of the joint',
    mend: 'short strokes toward it; keep the box clean of mud',
  },
  dent: { name: 'Dent by others', cause: 'another trade', mend: 'fill it; tell the lead whose it is' },
};

export const MEND_WORDS: Readonly<Record<Defect['mend'], string>> = {
  now: 'mend it now, before anything goes over it',
  next: 'with the next coat',
  seal: 'when the surface is sealed',
};

export const ACCOUNT_WORDS: Readonly<Record<Account, string>> = {
  crew: 'ours',
  hanger: 'the hanger’s',
  others: 'another trade’s',
};

/**
 * What is wrong and where: its kind, its face, how far from its left end and how high, and what somebody wrote.
 *
 * @example itemWords(item, room, 'in')  // 'Screw pop, wall 2, 4′ 3″ along, 5′ down: by the switch'
 */
export function itemWords(
  item: Pick<OpenItem, 'defect' | 'face' | 'place' | 'text' | 'length' | 'width' | 'knife'>,
  room: Room,
  unit: LengthUnit,
): string {
  const where = item.face === undefined ? [] : [faceWords(placesIn(room)(item.face))];
  const spot = item.place
    ? [
        `${roughLength(item.place[0], unit)} along`,
        `${roughLength(item.place[1], unit)} ${isWall(where[0]) ? 'down' : 'across'}`,
      ]
    : [];
  const long =
    item.length === undefined
      ? []
      : [
          `${lengthWords(item.length, unit)} long${item.width === undefined ? '' : `, ${smallWords(item.width, unit)} wide`}`,
        ];
  const knife = item.knife && findingOf(item.knife);
  const what = [
    ...(item.defect ? [DEFECT_WORDS[item.defect].name] : []),
    ...long,
    ...(knife ? [knifeWords(knife, unit)] : []),
    ...where,
    ...spot,
  ].join(', ');
  const text = item.text ?? (what === '' ? 'See the photo' : undefined);
  return text === undefined ? what : what === '' ? text : `${what}: ${text}`;
}

/** Returns the question before a coat covers problems that must be fixed first. */
export function fixFirstWords(
  ids: readonly string[],
  items: readonly OpenItem[],
  room: Room,
  unit: LengthUnit,
): string {
  const own = items.filter(({ id }) => ids.includes(id));
  return `Fix before covering in ${room.name}: ${own.map((item) => itemWords(item, room, unit)).join('; ')}. Is it fixed now?`;
}

/** What a knife found, within a sentence: 1/8 in high, 30 in wide over all. */
function knifeWords({ kind, height, width, cutBack }: KnifeFinding, unit: LengthUnit): string {
  const deep = `${smallWords(height, unit)} ${kind === 'hump' ? 'high' : 'deep'}`;
  if (cutBack) return `${deep}: cut it back`;
  return kind === 'hump' ? `${deep}: ${widthWords(width, unit)} wide over all` : deep;
}

const isWall = (face: string | undefined): boolean => face?.startsWith('wall') ?? false;
