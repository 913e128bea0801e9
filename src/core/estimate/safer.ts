import type { AnswerTo, Question } from '../room/methodAnswers';

/** The answer to a question with which least goes wrong. Common practice, no source. */
export const SAFER: { readonly [Key in Question]?: AnswerTo<Key> } = {
  tools: 'knives',
  cover: 'wipe',
  tape: 'paper',
  mud: 'drying',
  lastPass: 'whole',
  angles: 'opposite',
  between: 'scrape',
  order: 'butts',
  centring: 'sameDay',
  beads: 'before',
  beadStrip: 'strip',
  hard: 'finish',
  last: 'skim',
};
