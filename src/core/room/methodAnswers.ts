import { JOINT_CLASSES } from './kinds';

/** The questions on which crews differ, with the answers that can be chosen; the first is the usual one. */
export const ANSWERS = {
  acceptance: ['none', 'walk'],
  tools: ['knives', 'trowel', 'boxes'],
  laying: ['belt', 'dispenser', 'applicator', 'taper'],
  cover: ['wipe', 'skim', 'oneSide'],
  tape: ['paper', 'mesh', 'meshButts'],
  mud: ['drying', 'settingTape', 'settingFirst', 'setting'],
  product: ['byCoat', 'allPurpose', 'lightweight'],
  consistency: ['thinned', 'box'],
  coats: ['level', 'one', 'two', 'three'],
  lastPass: ['whole', 'edges'],
  angles: ['opposite', 'sides', 'both'],
  angleTool: ['knife', 'corner'],
  between: ['scrape', 'sand', 'spot', 'sponge'],
  order: ['butts', 'noWait', 'boxes', 'ceilingSides'],
  centring: ['sameDay', 'nextDay', 'none'],
  beads: ['before', 'after', 'runIn'],
  beadStrip: ['plain', 'strip'],
  hard: ['finish', 'trim'],
  sponge: ['last', 'first'],
  last: ['seal', 'skim', 'none'],
} as const;
export type Question = keyof typeof ANSWERS;
export const QUESTIONS = Object.keys(ANSWERS).filter((key): key is Question => key in ANSWERS);
export type AnswerTo<Key extends Question> = (typeof ANSWERS)[Key][number];
/** An answer to every question. */
export type Choices = { readonly [Key in Question]: AnswerTo<Key> };

/** What is taken where nothing is said: the first answer to each. */
export const USUAL_CHOICES = Object.fromEntries(
  QUESTIONS.map((question) => [question, ANSWERS[question][0]]),
) as Choices;

/** The classes that a method can treat in their own way. */
export const METHOD_CLASSES = [...JOINT_CLASSES, 'fasteners'] as const;
export type MethodClass = (typeof METHOD_CLASSES)[number];
