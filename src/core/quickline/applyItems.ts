import { fromMm, type LengthUnit } from '../measure/unit';
import { MOST_NOTE } from '../room/kinds';
import type { HangChoices } from '../room/schema';
import type { Wall } from '../room/walls';
import type { ReadItem } from './lineItems';
import { OPENING_KINDS, specOf } from './lineSpecs';
import { boardsFrom, coursesFrom, edgeName, faceName } from './lineValues';
import { addFinish, addNiche, addOpening, columnFrom } from './placeItems';
import { Misread, readLength, readPositive, readWallLength, unquoted } from './quickLinePieces';
import { choiceOf, type Owners, type Reader, type RoomDraft, value, wallFrom, wallsFrom } from './reader';

/** Puts what the items say into the room; walls are those of the outline as it was walked. */
export function applyItems(
  items: readonly ReadItem[],
  room: RoomDraft,
  walls: readonly Wall[],
  unit: LengthUnit,
): Owners {
  const owners: Owners = new Map();
  const reader: Reader = { room, walls, unit, owners, taken: new Set() };
  // A default place depends on the walls that are named anywhere in the line, so those come first.
  for (const item of items) {
    const said = isOpening(item) ? item.values.wall : undefined;
    if (said) reader.taken.add(wallFrom(said, reader));
  }
  const seen = new Set<string>();
  for (const item of items) {
    for (const { label, of } of saidOnce(item)) {
      if (seen.has(`${label}/${of}`)) throw new Misread(`${label} is said twice`, item.whole.at, item.whole.length);
      seen.add(`${label}/${of}`);
    }
    applyItem(item, reader);
  }
  return owners;
}

/** What an item says that can be said only once, of the room or of something in it. */
function saidOnce(item: ReadItem): readonly { readonly label: string; readonly of: string }[] {
  const { kind, values } = item;
  const spec = specOf(kind);
  const own = (of = '') => ({ label: spec.label.toLowerCase(), of });
  const shape = { label: 'the ceiling', of: '' };
  if (kind === 'ceiling') return /^(flat|open)$/i.test(values.ceiling?.text ?? '') ? [shape, own()] : [own()];
  if (kind === 'shed' || kind === 'gable' || kind === 'knee' || kind === 'tray') return [shape];
  if (kind === 'level' || kind === 'surface' || kind === 'light') return [own(values.of && faceName(values.of))];
  if (kind === 'edge') return [own(value(item, 'edge').text)];
  if (kind === 'hung') return [own(faceName(value(item, 'face')))];
  return spec.many ? [] : [own()];
}

const isOpening = ({ kind }: ReadItem): boolean => OPENING_KINDS.some((opening) => opening === kind);

function applyItem(item: ReadItem, reader: Reader): void {
  const { room, unit, owners } = reader;
  const { values } = item;
  const length = (name: string): number => readPositive(value(item, name), unit);
  const maybe = (name: string): number | undefined => (values[name] ? readLength(values[name], unit) : undefined);
  const choice = <Choice extends string>(name: string): Choice => choiceOf<Choice>(item, name);
  const hang = (choices: HangChoices) => {
    room.hang = { ...room.hang, ...choices };
  };
  switch (item.kind) {
    case 'door':
    case 'window':
    case 'opening':
      addOpening(item, item.kind, reader);
      return;
    case 'tile':
    case 'trim':
    case 'cabinet': {
      const wall = wallFrom(value(item, 'wall'), reader);
      const whole = fromMm(reader.walls[wall]?.length ?? 0, unit);
      const from = maybe('at') ?? 0;
      const bottom = maybe('bottom') ?? 0;
      const [wide, tall] = [
        values.width ? length('width') : whole - from,
        values.height ? length('height') : room.height - bottom,
      ];
      room.zones = [
        ...(room.zones ?? []),
        { wall, from, to: from + wide, bottom, top: bottom + tall, cover: item.kind },
      ];
      owners.set(`zones[${room.zones.length - 1}]`, item);
      return;
    }
    case 'height':
      room.height = readWallLength(value(item, 'height'), [value(item, 'height')], unit);
      owners.set('height', item);
      return;
    case 'note': {
      const said = value(item, 'note');
      const over = said.length - MOST_NOTE;
      if (over > 0) throw new Misread(`a note has at most ${MOST_NOTE} characters`, said.at + MOST_NOTE, over);
      // What closes a quotation is not part of one.
      room.note = unquoted(said.text).replaceAll('"', '″');
      owners.set('note', item);
      return;
    }
    case 'on':
      room.floor = unquoted(value(item, 'floor').text);
      owners.set('floor', item);
      return;
    case 'level':
    case 'surface':
    case 'light':
      addFinish(item, item.kind, reader);
      return;
    case 'ceiling': {
      const said = choice<'flat' | 'open' | 'along' | 'across' | 'auto'>('ceiling');
      if (said === 'flat' || said === 'open') room.ceiling = { shape: said };
      else hang({ ceiling: said });
      return;
    }
    case 'shed':
      room.ceiling = { shape: 'shed', low: values.low ? wallFrom(values.low, reader) : 0, rise: length('rise') };
      owners.set('ceiling', item);
      return;
    case 'gable': {
      const [one, other, more] = values.eaves ? wallsFrom(values.eaves, reader) : [0, 2];
      if (one === undefined || other === undefined || more !== undefined)
        throw new Misread(
          'a gable rises from two walls: walls 1 3',
          values.eaves?.at ?? item.whole.at,
          values.eaves?.length ?? 1,
        );
      room.ceiling = { shape: 'gable', eaves: [one, other], rise: length('rise') };
      owners.set('ceiling', item);
      return;
    }
    case 'knee':
      room.ceiling = {
        shape: 'knee',
        eaves: wallsFrom(value(item, 'eaves'), reader),
        knee: length('knee'),
        run: length('run'),
      };
      owners.set('ceiling', item);
      return;
    case 'tray':
      room.ceiling = { shape: 'tray', inset: length('inset'), rise: length('rise') };
      owners.set('ceiling', item);
      return;
    case 'soffit': {
      const wall = wallFrom(value(item, 'wall'), reader);
      const to = maybe('to') ?? fromMm(reader.walls[wall]?.length ?? 0, unit);
      room.soffits = [
        ...(room.soffits ?? []),
        { wall, from: maybe('from') ?? 0, to, depth: length('depth'), drop: length('drop') },
      ];
      owners.set(`soffits[${room.soffits.length - 1}]`, item);
      return;
    }
    case 'niche':
      addNiche(item, reader);
      return;
    case 'column':
      room.columns = [...(room.columns ?? []), { outline: columnFrom(item, unit) }];
      owners.set(`columns[${room.columns.length - 1}]`, item);
      return;
    case 'existing':
      room.existing = wallsFrom(value(item, 'existing'), reader);
      owners.set('existing', item);
      return;
    case 'beads':
      room.beads = { ...room.beads, profile: choice('profile') };
      return;
    case 'edge': {
      const profile = room.beads?.profile ?? 'square';
      const name = edgeName(value(item, 'edge'));
      room.beads = { ...room.beads, profile, edges: { ...room.beads?.edges, [name]: choice('profile') } };
      owners.set(`beads.edges.${name}`, item);
      return;
    }
    case 'walls':
      hang({ walls: choice('walls') });
      return;
    case 'boards':
      hang({ boards: boardsFrom(value(item, 'boards'), unit) });
      return;
    case 'framing':
      owners.set('hang.framing', item);
      hang({ framing: length('framing') });
      return;
    case 'screws':
      hang({ screws: { ceiling: length('ceiling'), wall: length('wall') } });
      return;
    case 'butts':
      hang({ butts: choice('butts') });
      return;
    case 'aim':
      hang({ aim: choice('aim') });
      return;
    case 'hung': {
      const face = faceName(value(item, 'face'));
      const courses = coursesFrom(value(item, 'courses'), unit);
      room.hung = { ...room.hung, [face]: { run: values.run ? choice('run') : 'across', courses } };
      owners.set(`hung.${face}`, item);
      return;
    }
    case 'mirrored':
      room.mirrored = true;
      return;
  }
}
