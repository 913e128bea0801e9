import { type WetMud, wetMudOf } from '../drying/wetMud';
import { groupBy } from '../measure/groupBy';
import type { Coat, CoatId } from '../method/coat';
import { amountsToSand } from '../method/finalSanding';
import { choicesFor, type Method } from '../method/resolveMethod';
import type { RoomCoat } from '../method/roomCoats';
import { waitsForFirm } from '../method/sequence';
import { type SmallWork, shareOfSmall } from '../method/smallWork';
import { checkHours, sandHoursOf, sandingHours, sealHours } from './closing';
import { belowOf, type Group, groupsOf, lastCoats, skillOf, toolOf } from './coatGroups';
import { fromOf, type HoursOf, inBlocks, latest } from './itemBlocks';
import { mendOf, waitForMend } from './mend';
import type { Pass } from './pass';
import { rateOfCoat } from './rateOfCoat';
import { betweenHours, coatHours, edgeHours, setUpFactor, smallHours, tasksOf } from './tasksOf';
import type { After, WorkItem } from './workItem';
import type { WorkRoom } from './workRoom';

/**
 * The work of a room that is still to do, in the order in which it is run: what one person or a pair can be sent to do in one
 * go, with what has to be done, firm or dry before. A coat that is on in part leaves a smaller item.
 *
 * In each round the order of the school holds from one kind to the next, see `sequenceOf`. Each coat waits for the one below it and
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
  const muds = new Map(coats.map((coat) => [coat.id, mudOn(coat, room)]));
  const tasks = tasksOf(room.tally, coats, method, room.finish, { gaps: room.gaps });
  const small = tasks.flatMap((task) => task.small);
  const factorOf = (pass: Pass) => setUpFactor(tasks.find((task) => task.pass === pass));
  const items: Draft[] = [];
  const add = (draft: Draft) => items.push(draft);
  const base = {
    room: room.id,
    people: 1,
    between: 0,
    scrapes: false,
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
  const prefill = gaps && unfilled > 0 ? `${room.id}/prefill` : undefined;
  if (gaps && prefill)
    add({
      ...base,
      work: 'prefill',
      kind: 'prefill',
      pass: 'tape',
      coats: [],
      part: unfilled,
      hours: smallHours(gaps) * unfilled * factorOf('tape'),
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
    for (const before of open)
      if (before.pass === group.pass && before.place < group.place)
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
    const parts = left.reduce((sum, coat) => sum + room.left(coat).part, 0);
    const factor = factorOf(group.pass);
    const before = (coat: RoomCoat) => (room.scraped(coat) ? 0 : factor * betweenHours(coat, coats, method));
    const hoursOf: HoursOf = {
      before,
      all: (coat) => factor * (coatHours(coat, method) + edgeHours(coat, coats, small)) + before(coat),
    };
    add({
      ...base,
      work: group.work,
      kind: group.kind,
      pass: group.pass,
      coats: left.map(({ id }) => id),
      part: parts / group.coats.length,
      hours: left.reduce((all, coat) => all + hoursOf.all(coat) * room.left(coat).part, 0),
      between: left.reduce((all, coat) => all + before(coat) * room.left(coat).part, 0),
      scrapes: left.some((coat) => choicesFor(method, coat.class).between === 'scrape'),
      ...inBlocks(left, group, hoursOf, room),
      rate: rateOfCoat(group.coats[0]),
      people: left.some(({ tool }) => tool.kind === 'box') ? 2 : 1,
      skill: skillOf(group),
      tool: toolOf(left, method),
      from,
      after: joined(after),
      run: group.pass === 'tape' || method.all.order === 'noWait' ? undefined : group.kind,
      muds: mudsOf(left, muds),
    });
  }
  for (const draft of besideCoats(room, small, open, muds))
    add({ ...base, ...draft, hours: draft.hours * factorOf(draft.pass) });

  const wet = items.filter(({ muds: own }) => own.length > 0);
  const ended = (work: string): readonly After[] =>
    items.some((item) => item.work === work) ? [{ item: `${room.id}/${work}`, until: 'ended', muds: [] }] : [];
  const sandLeft = room.sandLeft ?? sandHoursOf(amountsToSand(room.tally, method, room.finish));
  const sanding = sandingHours(sandLeft, room.mend);
  if (sanding > 0)
    add({
      ...base,
      ...last('sand', sanding),
      from: latest(coats.map((coat) => room.left(coat).sandAt)),
      after: wet.map(({ work, muds: own }) => ({ item: `${room.id}/${work}`, until: 'sand' as const, muds: own })),
    });
  if (!room.checked || items.length > 0)
    add({ ...base, ...last('check', checkHours(room.tally)), after: [...ended('sand'), ...ended('mend')] });
  const sealing = sealHours(room.tally, coats, method);
  if (sealing > 0 && (!room.sealed || items.length > 0))
    add({ ...base, ...last('seal', sealing), after: ended('check') });
  return items.map((draft) => ({ ...draft, id: `${room.id}/${draft.work}` }));
}

/** Three-ways and centring that are left, each as work of its own, once what they go with is on. */
function besideCoats(
  { id, coats, left, method, uncentered = [] }: WorkRoom,
  small: readonly SmallWork[],
  openGroups: readonly Group[],
  muds: ReadonlyMap<CoatId, WetMud>,
) {
  const apart = small.filter(({ kind }) => kind === 'threeWay' || kind === 'centring');
  return [...groupBy(apart, ({ kind, round }) => `${kind}.${round}`)].flatMap(([work, own]) => {
    const [{ kind, round }] = own as [SmallWork, ...SmallWork[]];
    const isBeside = (coat: RoomCoat) => own.some((one) => shareOfSmall(one, coat, coats) > 0);
    const groups = openGroups.filter((group) => group.coats.some(isBeside));
    const isCentring = kind === 'centring';
    const on = isCentring ? uncentered.find((boxed) => boxed.round === round) : undefined;
    const off = coats.reduce((sum, coat) => sum + shareOfSmall(own[0] as SmallWork, coat, coats) * left(coat).part, 0);
    const part = Math.min(1, off + (on?.part ?? 0));
    if (part <= 0) return [];
    const wet = mudsOf(
      groups.flatMap((group) => group.coats.filter((coat) => left(coat).part > 0)),
      muds,
    );
    const after = (group: Group, until: After['until']): After => ({
      item: `${id}/${group.work}`,
      until,
      muds: until === 'ended' ? [] : wet,
    });
    // Once the room is boxed and the sides have stiffened; not over an angle that is soft.
    const until = !isCentring ? 'ended' : method.classes.butt.centring === 'nextDay' ? 'recoat' : 'stiff';
    const boxed = isCentring ? openGroups.filter((group) => group.pass === round && !groups.includes(group)) : [];
    return [
      {
        work,
        kind: isCentring ? ('centring' as const) : ('threeWay' as const),
        pass: round,
        coats: [],
        part,
        from: on?.from,
        hours: part * own.reduce((sum, one) => sum + smallHours(one), 0),
        rate: kind,
        skill: isCentring ? ('coat' as const) : ('angles' as const),
        run: isCentring && method.all.order !== 'noWait' ? ('butt' as const) : undefined,
        after: [...groups.map((group) => after(group, until)), ...boxed.map((group) => after(group, 'ended'))],
        muds: wet,
      },
    ];
  });
}

/** What a coat leaves wet, as slow as it dries in its room. */
function mudOn(coat: RoomCoat, { method, slowness }: WorkRoom): WetMud {
  const times = slowness(coat);
  const mud = wetMudOf(coat, method);
  return times === 1 ? mud : { ...mud, slowness: times };
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

/** Between two kinds of one round: the one after begins when the other has ended, or when that is firm where it runs over it. */
function gapBetween(
  before: Group,
  { kind, pass }: Group,
  muds: ReadonlyMap<CoatId, WetMud>,
  { all }: Method,
): Pick<After, 'until' | 'muds'> {
  return waitsForFirm(before.kind, kind, pass, all)
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
