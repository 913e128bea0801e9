import type { AnswerTo, Question } from '../room/methodAnswers';

/** The answer to a question with which least goes wrong, and why. Common practice, no source. */
export const SAFER: { readonly [Key in Question]?: { readonly answer: AnswerTo<Key>; readonly why: string } } = {
  tools: { answer: 'knives', why: 'nothing to set up, and a hollow is felt as it is made' },
  cover: { answer: 'wipe', why: 'nothing thick dries behind the tape' },
  tape: { answer: 'paper', why: 'it bonds in any mud and does not crack' },
  mud: { answer: 'drying', why: 'no clock runs in the pan' },
  lastPass: { answer: 'whole', why: 'the middle gets its last look too' },
  angles: { answer: 'opposite', why: 'no knife ever touches a wet side' },
  between: { answer: 'scrape', why: 'no dust under the next coat' },
  order: { answer: 'butts', why: 'what is soft is never crossed' },
  centring: { answer: 'sameDay', why: 'the box leaves a crest that only a knife takes down' },
  beads: { answer: 'before', why: 'tape stops short of a bead that is already straight' },
  beadStrip: { answer: 'strip', why: 'the edge of the flange does not crack where people pass' },
  hard: { answer: 'finish', why: 'mud seals the joint' },
  last: { answer: 'skim', why: 'paper and mud take paint alike' },
};
