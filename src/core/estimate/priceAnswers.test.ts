import { describe, expect, it } from 'vitest';
import { AIR, head, rooms } from '../../../tests/houses/hallAndDen';
import { methodOfRoom, resolveMethod } from '../method/resolveMethod';
import { roomCoats } from '../method/roomCoats';
import { ANSWERS, QUESTIONS, USUAL_CHOICES } from '../room/methodAnswers';
import type { MethodChoices } from '../room/methodSchema';
import { coatHours, tasksOf } from '../work/tasksOf';
import { priceAnswers } from './priceAnswers';
import { priceOf } from './priceOf';
import { patched, patchOf } from './scope';

describe('the price of an answer', () => {
  const { now, answers, levels } = priceAnswers(head({}), rooms, AIR);

  it('is given for every answer to every question, one of each chosen', () => {
    expect(answers).toHaveLength(QUESTIONS.reduce((sum, question) => sum + ANSWERS[question].length, 0));
    for (const question of QUESTIONS) {
      const own = answers.filter((answer) => answer.question === question);
      expect(
        own.filter(({ chosen }) => chosen).map(({ answer }) => answer),
        question,
      ).toEqual([USUAL_CHOICES[question]]);
      for (const { chosen, price } of own) if (chosen) expect(price).toEqual(now);
    }
    expect(levels.find(({ level }) => level === 4)?.price).toEqual(now);
  });

  it('is what the house costs once the answer is given', () => {
    for (const { question, answer, price } of answers)
      expect(price, `${question} ${answer}`).toEqual(priceOf(head({ [question]: answer }), rooms, AIR));
  });

  it('marks the fewest hours as cheapest, and nothing where all cost the same', () => {
    for (const question of QUESTIONS) {
      const own = answers.filter((answer) => answer.question === question);
      const least = Math.min(...own.map(({ price }) => price.hours));
      for (const { cheapest, price, answer } of own)
        if (cheapest) expect(price.hours, `${question} ${answer}`).toBeLessThan(least + 0.051);
    }
    expect(answers.filter(({ question, cheapest }) => question === 'order' && cheapest)).toEqual([]);
  });

  it('of setting mud saves nights, of boxes hours, of sanding between coats none', () => {
    const of = (question: string, answer: string) => {
      const found = answers.find((own) => own.question === question && own.answer === answer);
      if (!found) throw new Error(`${question} ${answer}`);
      return found.price;
    };
    expect(of('mud', 'settingFirst').nights).toBeLessThan(now.nights);
    expect(of('tools', 'boxes').hours).toBeLessThan(now.hours);
    expect(of('between', 'sand').hours).toBeGreaterThan(now.hours);
    expect(of('coats', 'three').litres).toBeGreaterThan(now.litres);
  });

  it('goes by the pace of the crew where it is known', () => {
    const known = { pace: 2, passes: 9, within: 1.1 };
    const rates = new Set(
      rooms.flatMap(({ room, tally }) => {
        const method = methodOfRoom(head({}), room, resolveMethod(head({})));
        return tasksOf(tally, roomCoats(tally, method, room.finish), method, room.finish).flatMap(({ parts }) => parts);
      }),
    );
    const crew = Object.fromEntries([...rates].map(({ rate }) => [rate, known]));
    const timed = [...rates].reduce((sum, { hours }) => sum + hours, 0);
    const twice = priceOf(head({}), rooms, AIR, crew);
    // Small work and sealing are not timed.
    expect(now.hours - twice.hours).toBeCloseTo(timed / 2, 9);
    expect({ ...twice, hours: 0, sandingHours: 0 }).toEqual({ ...now, hours: 0, sandingHours: 0 });
    expect(priceOf(head({}), rooms, AIR, { sand: known }).hours).toBeCloseTo(now.hours - now.sandingHours / 2, 9);
    // Who is quick with a knife saves less by boxes.
    const saved = (paces: typeof crew) => {
      const priced = priceAnswers(head({}), rooms, AIR, undefined, paces);
      const boxes = priced.answers.find(({ question, answer }) => question === 'tools' && answer === 'boxes');
      return priced.now.hours - (boxes?.price.hours ?? 0);
    };
    expect(saved(crew)).toBeLessThan(saved({}));
  });

  it('in one room changes that room only', () => {
    const scope = { room: rooms[1]?.room.id, class: undefined };
    const own = priceAnswers(head({}), rooms, AIR, scope);
    const boxes = own.answers.find(({ question, answer }) => question === 'tools' && answer === 'boxes');
    const after = patched(scope, head({}), rooms, patchOf(scope, 'tools', 'boxes'));
    expect(after.rooms[0]?.room.method).toBeUndefined();
    expect(boxes?.price).toEqual(priceOf(after.house, after.rooms, AIR));
  });
});

describe('the hours of a school', () => {
  // common practice, no source (from memory): feet an hour
  const hall = rooms[0];
  if (!hall) throw new Error('the house has a hall');
  const hoursOf = (kind: string, key: string, choices: MethodChoices) => {
    const method = resolveMethod(head(choices));
    const coats = roomCoats(hall.tally, method).filter((coat) => coat.class === kind && coat.key === key);
    return coats.reduce((sum, coat) => sum + coatHours(coat, method), 0);
  };
  const feet = (kind: 'flat' | 'butt' | 'angle') => hall.tally.classes[kind].length / 304.8;

  it.each<[string, MethodChoices, 'flat' | 'butt' | 'angle', string, number]>([
    ['a dispenser lays 150 ft of flats', { laying: 'dispenser' }, 'flat', 'tape', 150],
    ['a taper 250', { laying: 'taper' }, 'flat', 'tape', 250],
    ['applicator and head 150 ft of angles', { laying: 'applicator' }, 'angle', 'tape', 150],
    ['a box fills 500 ft of flats', { tools: 'boxes' }, 'flat', 'fill', 500],
    ['and finishes 500', { tools: 'boxes' }, 'flat', 'finish', 500],
  ])('%s', (_, choices, kind, key, rate) => {
    expect(hoursOf(kind, key, choices)).toBeCloseTo(feet(kind) / rate, 9);
  });

  it('of a corner tool are one pass for both sides', () => {
    const both = hoursOf('angle', 'fill', { angles: 'both', angleTool: 'corner' });
    expect(both).toBeLessThan(hoursOf('angle', 'fill', {}));
  });
});
