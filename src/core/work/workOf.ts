import { type WetMud, wetMudOf } from '../drying/wetMud';
import { sealedArea } from '../materials/loadList';
import { MM_PER_FOOT } from '../measure/unit';
import type { Coat, CoatId } from '../method/coat';
import type { RunGroup } from '../method/passOrder';
import type { Method } from '../method/resolveMethod';
import type { RoomCoat } from '../method/roomCoats';
import { smallWorkOf } from '../method/smallWork';
import { belowOf, type Group, groupsOf, lastCoats, skillOf, toolOf } from './coatGroups';
import { fromOf, type HoursOf, inBlocks, latest } from './itemBlocks';
import { mendOf, waitForMend } from './mend';
import { rateOfCoat } from './rateOfCoat';
import { betweenHours, coatHours, smallHours, tasksOf } from './tasksOf';
import { ROOM_HOURS, SAND_MENDED_HOURS, SEAL_MM2_PER_HOUR } from './usualRates';
import type { After, OfBlock, WorkItem, WorkKind } from './workItem';
import type { WorkRoom } from './workRoom';

/** A walk with the lamp past so much wall in an hour: 1,200 ft². Common practice, no source. */
const CHECK_MM2_PER_HOUR = 1200 * MM_PER_FOOT ** 2;

const RUN: Readonly<Partial<Record<RunGroup, 0 | 1 | 2>>> = { butt: 0, flat: 1, bead: 2, angle: 2 };

/**
 * The work of a room that is still to do, in the order in which it is run: what one person or a pair can be sent to do in one
 * go, with what has to be done, firm or dry before. A coat that is on in part leaves a smaller item.
 *
 * In the tape round the order of the school holds from one kind to the next. Later each coat waits for the one below it and
 * for the other side of its angle, a skim for everything else, and sanding for every last coat.
 */
export function workOf(room: WorkRoom): readonly WorkItem[] {
  const { coats, method } = room;
  if (coats.length === 0) return [];
  const groups = groupsOf(coats, method);
  const open = groups.filter((group) => group.coats.some((coat) => room.left(coat).part > 0));
  const itemOf = new Map<CoatId, string>();
  for (const group of open)
    for (const coat of group.coats) if (room.left(coat).part > 0) itemOf.set(coat.id, `${room.id}/${group.work}`);
  const muds = new Map(coats.map((coat) => [coat.id, wetMudOf(coat, method)]));
  const small = smallWorkOf(room.tally, coats, method, room.gaps);
  const items: Draft[] = [];
  const add = (draft: Draft) => items.push(draft);
  const base = {
    room: room.id,
    people: 1,
    between: 0,
    tool: undefined,
    from: undefined,
    run: undefined,
    muds: [],
    part: 1,
    block: undefined,
    blocks: undefined,
  } as const;

  const gaps = small.find(({ kind }) => kind === 'prefill');
  const unfilled = 1 - (room.prefilled ?? 0);
  const prefill = gaps && !room.begun && unfilled > 0 ? `${room.id}/prefill` : undefined;
  if (gaps && prefill)
    add({
      ...base,
      work: 'prefill',
      kind: 'prefill',
      pass: 'tape',
      coats: [],
      part: unfilled,
      hours: smallHours(gaps) * unfilled,
      rate: 'prefill',
      skill: 'tape',
      after: [],
    });

  const mending = mendOf(room.mend);
  if (mending) add({ ...base, ...mending, from: undefined, after: [] });

  for (const group of open) {
    const left = group.coats.filter((coat) => room.left(coat).part > 0);
    const after: After[] = [];
    if (prefill && group.pass === 'tape') after.push({ item: prefill, until: 'firm', muds: [] });
    const mended = waitForMend(left, room.mend);
    if (mended) after.push({ item: `${room.id}/mend`, ...mended });
    if (group.key === 'tape')
      for (const before of open)
        if (before.key === 'tape' && before.place < group.place && isRunInOrder(before.kind, group.kind))
          after.push({ item: `${room.id}/${before.work}`, ...gapBetween(before, group, muds, method) });
    for (const coat of left) {
      for (const below of belowOf(coat, coats)) {
        const item = itemOf.get(below.id);
        if (item) after.push({ item, until: 'recoat', muds: mudsOf([below], muds) });
      }
      if (coat.class === 'surface')
        for (const under of lastCoats(coats.filter((other) => other.class !== 'surface'))) {
          const item = itemOf.get(under.id);
          if (item) after.push({ item, until: 'sand', muds: mudsOf([under], muds) });
        }
    }
    const from = latest(left.map((coat) => fromOf(coat, room)));
    const extra = small.filter(
      ({ kind, round }) => kind === 'factoryEdge' && group.kind === 'angle' && round === group.pass,
    );
    const parts = left.reduce((sum, coat) => sum + room.left(coat).part, 0);
    const before = (coat: RoomCoat) => (room.scraped(coat) ? 0 : betweenHours(coat, coats, method));
    const hoursOf: HoursOf = { before, all: (coat) => coatHours(coat, method) + before(coat) };
    const beside = extra.reduce((all, one) => all + smallHours(one), 0);
    add({
      ...base,
      work: group.work,
      kind: group.kind,
      pass: group.pass,
      coats: left.map(({ id }) => id),
      part: parts / group.coats.length,
      hours: left.reduce((all, coat) => all + hoursOf.all(coat) * room.left(coat).part, beside),
      between: left.reduce((all, coat) => all + before(coat) * room.left(coat).part, 0),
      ...inBlocks(left, group, hoursOf, beside, room),
      rate: rateOfCoat(group.coats[0]),
      people: left.some(({ tool }) => tool.kind === 'box') ? 2 : 1,
      skill: skillOf(group),
      tool: toolOf(left, method),
      from,
      after: joined(after),
      run: group.key === 'tape' || method.all.order === 'noWait' ? undefined : RUN[group.kind],
      muds: mudsOf(left, muds),
    });
    for (const work of small) {
      const centres =
        work.kind === 'centring' && group.kind === 'butt' && work.round === group.pass && group.key !== 'tape';
      const points = work.kind === 'threeWay' && group.kind === 'angle' && work.round === group.pass;
      if ((!centres && !points) || items.some((item) => item.work === `${work.kind}.${group.pass}`)) continue;
      const boxed = centres ? open.filter((other) => other.key === group.key && other.kind === 'flat') : [];
      add({
        ...base,
        work: `${work.kind}.${group.pass}`,
        kind: centres ? 'centring' : 'threeWay',
        pass: group.pass,
        coats: [],
        hours: smallHours(work),
        rate: work.kind,
        skill: centres ? 'coat' : 'angles',
        after: [group, ...boxed].map((own) => ({ item: `${room.id}/${own.work}`, until: 'ended' as const, muds: [] })),
        muds: mudsOf(left, muds),
      });
    }
  }

  const wet = items.filter(({ muds: own }) => own.length > 0);
  const sand = tasksOf(room.tally, coats, method).find(({ pass }) => pass === 'sand');
  const sealed = sealedArea(room.tally, coats, method);
  const ended = (work: string): readonly After[] =>
    items.some((item) => item.work === work) ? [{ item: `${room.id}/${work}`, until: 'ended', muds: [] }] : [];
  // What was sanded is sanded once more only where it was mended.
  const again = room.sanded && wet.every(({ kind }) => kind === 'mend');
  if (sand && (!room.sanded || wet.length > 0))
    add({
      ...base,
      ...last('sand', again ? room.mend.length * SAND_MENDED_HOURS : sand.hours - ROOM_HOURS),
      from: latest(coats.map((coat) => room.left(coat).sandAt)),
      after: wet.map(({ work, muds: own }) => ({ item: `${room.id}/${work}`, until: 'sand' as const, muds: own })),
    });
  if (!room.checked || items.length > 0)
    add({
      ...base,
      ...last('check', room.tally.paintedArea / CHECK_MM2_PER_HOUR),
      after: [...ended('sand'), ...ended('mend')],
    });
  if (sealed > 0 && (!room.sealed || items.length > 0))
    add({ ...base, ...last('seal', sealed / SEAL_MM2_PER_HOUR), after: ended('check') });
  return finished(room.id, items);
}

type Draft = Omit<WorkItem, 'id'>;

const last = (kind: 'sand' | 'check' | 'seal', hours: number) =>
  ({
    work: kind,
    kind,
    pass: kind,
    coats: [],
    hours,
    rate: kind,
    skill: kind,
    ...(kind === 'check' ? { tool: 'lamp' } : {}),
  }) as const;

/** Walking in and setting up is done once a round, with what is run first of it; by two in two blocks, twice. */
function finished(room: string, drafts: readonly Draft[]): readonly WorkItem[] {
  const entered = new Set<string>();
  return drafts.map((draft) => {
    const first = !entered.has(draft.pass);
    entered.add(draft.pass);
    const entering = first ? ROOM_HOURS : 0;
    const { blocks } = draft;
    const withEntering = (one: OfBlock): OfBlock => ({ ...one, hours: one.hours + entering });
    return {
      ...draft,
      id: `${room}/${draft.work}`,
      hours: draft.hours + entering,
      blocks: blocks && { walls: withEntering(blocks.walls), ceiling: withEntering(blocks.ceiling) },
    };
  });
}

/** Tape is laid over tape in the order of the school; screws cross nothing. */
const isRunInOrder = (before: WorkKind, after: WorkKind): boolean => before !== 'fasteners' && after !== 'fasteners';

function gapBetween(
  before: Group,
  after: Group,
  muds: ReadonlyMap<CoatId, WetMud>,
  method: Method,
): Pick<After, 'until' | 'muds'> {
  const crosses = (RUN[before.kind] ?? 2) < (RUN[after.kind] ?? 0);
  return crosses && method.all.order !== 'noWait'
    ? { until: 'firm', muds: mudsOf(before.coats, muds) }
    : { until: 'ended', muds: [] };
}

const mudsOf = (coats: readonly Coat[], muds: ReadonlyMap<CoatId, WetMud>): readonly WetMud[] =>
  coats.flatMap(({ id }) => muds.get(id) ?? []);

/** One wait for each item and reason. */
function joined(after: readonly After[]): readonly After[] {
  const known = new Map<string, After>();
  for (const one of after) {
    const key = `${one.item} ${one.until}`;
    const before = known.get(key);
    known.set(key, before ? { ...before, muds: [...new Set([...before.muds, ...one.muds])] } : one);
  }
  return [...known.values()];
}
