import { isAccessory, isAngle } from '@/core/joints/classTraits';
import type { AnswerTo, MethodClass, Question } from '@/core/room/methodAnswers';

type Words = {
  readonly [Key in Question]: {
    readonly asks: string;
    readonly answers: Readonly<Record<AnswerTo<Key>, string>>;
  };
};

/** The questions and answers in words. */
export const QUESTION_WORDS: Words = {
  acceptance: {
    asks: 'The hanging',
    answers: { none: 'Taped as it is', walk: 'Accepted face by face' },
  },
  tape: {
    asks: 'Tape',
    answers: {
      paper: 'Paper everywhere',
      mesh: 'Mesh on flats, paper elsewhere',
      meshButts: 'Mesh on flats and butts',
    },
  },
  laying: {
    asks: 'Laying it',
    answers: {
      belt: 'By hand from the belt',
      dispenser: 'Wet-tape dispenser',
      applicator: 'Dispenser, and angle head in corners',
      taper: 'Mechanical taper',
    },
  },
  cover: {
    asks: 'Over the tape, in the same pass',
    answers: { wipe: 'Wipe tight and stop', skim: 'Skim while wet', oneSide: 'One side of angles while wet' },
  },
  beads: {
    asks: 'Beads',
    answers: { before: 'Before tape, cut short of them', after: 'After tape', runIn: 'Before, tape run in' },
  },
  beadStrip: { asks: 'On beads', answers: { plain: 'Nothing', strip: 'A strip of paper' } },
  mud: {
    asks: 'Mud',
    answers: {
      drying: 'Drying mud throughout',
      settingTape: 'Setting in the tape coat only',
      settingFirst: 'Setting for tape and fill',
      setting: 'Setting to the end',
    },
  },
  product: {
    asks: 'Drying mud by coat',
    answers: {
      byCoat: 'Taping, all-purpose, topping',
      allPurpose: 'All-purpose for everything',
      lightweight: 'Lightweight for everything',
    },
  },
  consistency: {
    asks: 'Consistency',
    answers: { thinned: 'Thinned for tape and last', box: 'Topping straight from the box' },
  },
  tools: { asks: 'Tools', answers: { knives: 'Widening knives', trowel: 'Hawk and trowel', boxes: 'Flat boxes' } },
  coats: {
    asks: 'Coats after the tape',
    answers: { level: 'As the level asks', one: 'One', two: 'Two, in angles too', three: 'Three, two in angles' },
  },
  lastPass: { asks: 'Last coat', answers: { whole: 'Over the whole joint', edges: 'On the edges only' } },
  angles: {
    asks: 'Inside angles',
    answers: {
      opposite: 'A side a day, opposite walls',
      sides: 'All left sides, then right',
      both: 'Both sides at once',
    },
  },
  angleTool: { asks: 'In angles with', answers: { knife: 'A plain knife', corner: 'A corner tool' } },
  between: {
    asks: 'Between coats',
    answers: { scrape: 'Scrape', sand: 'Sand', spot: 'Spot the marks', sponge: 'Wet sponge' },
  },
  order: {
    asks: 'Order of the later coats',
    answers: {
      butts: 'Butts first, 30 min to firm',
      noWait: 'Butts first, no wait',
      boxes: 'Flats and butts boxed, then angles',
      ceilingSides: 'Ceiling sides, screws, flats',
    },
  },
  centring: {
    asks: 'Boxed butts',
    answers: { sameDay: 'Centred the same day', nextDay: 'Centred when dry', none: 'Left as boxed' },
  },
  hard: { asks: 'Hard joints', answers: { finish: 'Finish them', trim: 'Cover with trim and caulk' } },
  sponge: {
    asks: 'Sanding the angles',
    answers: { last: 'Sponge after the pole', first: 'Sponge before the pole' },
  },
  last: { asks: 'Before paint', answers: { seal: 'Seal', skim: 'Skim over all', none: 'Nothing' } },
};

/** The questions as they are asked, in the order of the work. */
export const GROUPS: readonly { readonly name: string; readonly questions: readonly Question[] }[] = [
  { name: 'Before tape', questions: ['acceptance'] },
  { name: 'Tape and bead', questions: ['tape', 'laying', 'cover', 'beads', 'beadStrip'] },
  { name: 'Mud', questions: ['mud', 'product', 'consistency'] },
  { name: 'Coats', questions: ['tools', 'coats', 'lastPass', 'angles', 'angleTool', 'centring', 'order', 'between'] },
  { name: 'At the end', questions: ['hard', 'sponge', 'last'] },
];

/** What can be said of one class alone. */
export function asksOfClass(question: Question, kind: MethodClass): boolean {
  const [angle, accessory] = [isAngle(kind), isAccessory(kind)];
  switch (question) {
    case 'acceptance':
    case 'order':
    case 'beads':
    case 'sponge':
    case 'last':
      return false;
    case 'tape':
    case 'laying':
    case 'cover':
    case 'hard':
      return !accessory;
    case 'angles':
    case 'angleTool':
      return angle;
    case 'tools':
    case 'lastPass':
      return !angle && !accessory;
    case 'centring':
      return kind === 'butt';
    case 'beadStrip':
      return kind === 'bead';
    case 'mud':
    case 'product':
    case 'consistency':
    case 'coats':
    case 'between':
      return true;
  }
}
