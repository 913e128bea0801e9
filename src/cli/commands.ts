import { type Air, ASSUMED_AIR } from '../core/air/air';
import { USUAL_THICKNESS_MM } from '../core/air/dryingHours';
import { coatTimes } from '../core/drying/coatTimes';
import type { Mud } from '../core/drying/wetMud';
import { readHouse } from '../core/house/readHouse';
import type { House } from '../core/house/schema';
import { JOINT_CLASSES } from '../core/joints/joint';
import { type TakeOff, takeOff } from '../core/joints/takeOff';
import { addTallies, type ClassTotal, type Tally } from '../core/joints/tally';
import { cutBead, type RoomBead } from '../core/materials/cut/cutBead';
import { loadList } from '../core/materials/loadList';
import { parseLength } from '../core/measure/parseLength';
import { areaFromMm2, celsiusFromFahrenheit, fromMm, gallonsFromLitres, type LengthUnit } from '../core/measure/unit';
import { resolveMethod } from '../core/method/resolveMethod';
import { roomCoats } from '../core/method/roomCoats';
import { parseQuickLine } from '../core/quickline/parseQuickLine';
import { areaOf } from '../core/room/faces/face';
import { problemText } from '../core/room/problem';
import type { Room } from '../core/room/schema';
import { troubleWords } from '../words/airWords';

/** A refusal that is told as one line on standard error, with exit code 2. */
export class Refusal extends Error {}

/** Reads a file's text as JSON or refuses it. */
export function jsonFrom(text: string, file: string): unknown {
  try {
    return JSON.parse(text);
  } catch (error) {
    throw new Refusal(`${file}: is not JSON: ${error instanceof Error ? error.message : String(error)}`);
  }
}

/** Reads a house file's text or refuses it, naming the first wrong field. */
export function houseFrom(text: string, file: string): House {
  const reading = readHouse(jsonFrom(text, file));
  if (reading.ok) return reading.house;
  const [first] = reading.problems;
  throw new Refusal(first ? problemText(first) : `${file}: cannot be read`);
}

/** `oak takeoff`: faces with their boards, the tally of each room and of the house; lengths in the file's unit. */
export function takeOffReport(house: House) {
  const { unit } = house;
  const taken = takeOffOnce(house);
  const rooms = house.rooms.map((room) => ({ room, result: taken(room) }));
  return {
    unit,
    rooms: rooms.map(({ room, result }) => ({
      id: room.id,
      name: room.name,
      faces: result.faces.map(({ face, boards }) => ({
        id: face.id,
        area: areaFromMm2(areaOf(face), unit),
        boards: boards.map(({ u0, u1, v0, v1, long, course }) => ({
          course,
          long,
          from: [fromMm(u0, unit), fromMm(v0, unit)],
          to: [fromMm(u1, unit), fromMm(v1, unit)],
        })),
      })),
      tally: tallyReport(result.tally, unit),
      tileFlags: result.tileFlags.map(({ face, distance }) => ({ face, distance: fromMm(distance, unit) })),
    })),
    total: tallyReport(addTallies(rooms.map(({ result }) => result.tally)), unit),
  };
}

/** Takes rooms off, those that are alike but for their names once: a terrace is one flat many times. */
export function takeOffOnce(house: House): (room: Room) => TakeOff {
  const known = new Map<string, TakeOff>();
  return (room) => {
    const key = JSON.stringify({ ...room, id: '', name: '', floor: '', at: undefined });
    const found = known.get(key) ?? takeOff(room, house);
    known.set(key, found);
    return found;
  };
}

function tallyReport(tally: Tally, unit: LengthUnit) {
  const classes = Object.fromEntries(
    JOINT_CLASSES.map((kind) => [
      kind,
      { length: fromMm(tally.classes[kind].length, unit), count: tally.classes[kind].count },
    ]),
  );
  const total = ({ length, count }: ClassTotal) => ({ length: fromMm(length, unit), count });
  return {
    ...classes,
    tapedOnly: total(tally.tapedOnly),
    profiles: Object.fromEntries(Object.entries(tally.profiles).map(([profile, found]) => [profile, total(found)])),
    threeWays: tally.threeWays,
    crossings: tally.crossings,
    fasteners: tally.fasteners,
    screws: tally.screws,
    factoryEdgeInAngle: {
      one: fromMm(tally.factoryEdgeInAngle.one, unit),
      both: fromMm(tally.factoryEdgeInAngle.both, unit),
    },
    boardArea: areaFromMm2(tally.boardArea, unit),
    boards: tally.boards.map(({ width, length, count }) => ({
      width: fromMm(width, unit),
      length: fromMm(length, unit),
      count,
    })),
  };
}

/** `oak materials`: what to order; lengths in the file's unit, mud in US gallons, in a metric file in litres. */
export function materialsReport(house: House) {
  const taken = takeOffOnce(house);
  const rooms = house.rooms.map((room) => {
    const { tally } = taken(room);
    const method = resolveMethod(house, room);
    return { tally, method, coats: roomCoats(tally, method, room.finish) };
  });
  const load = loadList(rooms, house.unit);
  const length = ({ net, gross, packs }: { net: number; gross: number; packs: number }) => ({
    net: fromMm(net, house.unit),
    withWaste: fromMm(gross, house.unit),
    packs,
  });
  const metric = house.unit === 'mm';
  const volume = (litres: number) => Math.round((metric ? litres : gallonsFromLitres(litres)) * 100) / 100;
  /** The net amount under the name of its unit. */
  const net = (litres: number) => (metric ? { litres: volume(litres) } : { gallons: volume(litres) });
  const bead = cutBead(beadOf(house, taken), house.unit);
  const sticks = bead.flatMap(({ list }) => list.sticks);
  return {
    unit: house.unit,
    volumes: metric ? 'l' : 'gal',
    tape: length(load.tape),
    mud: load.mud.map(({ product, net: litres, gross, packs }) => ({
      product,
      ...net(litres),
      withWaste: volume(gross),
      packs,
    })),
    mudByCoat: Object.fromEntries(Object.entries(load.mudByCoat).map(([key, litres]) => [key, volume(litres)])),
    smallWork: load.small.map(({ kind, amount, litres }) => ({
      kind,
      ...(kind === 'threeWay' ? { count: amount } : { length: fromMm(amount, house.unit) }),
      ...net(litres),
    })),
    mesh: length(load.mesh),
    bead: {
      net: fromMm(
        load.bead.reduce((sum, own) => sum + own.net, 0),
        house.unit,
      ),
      withWaste: fromMm(
        sticks.reduce((sum, stick) => sum + stick.length, 0),
        house.unit,
      ),
      packs: sticks.length,
      profiles: bead.map(({ profile, pieces, list }) => ({
        profile,
        length: fromMm(
          pieces.reduce((sum, piece) => sum + piece.length, 0),
          house.unit,
        ),
        sticks: list.sticks.map((stick) => ({
          length: fromMm(stick.length, house.unit),
          cuts: stick.cuts.map((cut) => fromMm(cut.length, house.unit)),
        })),
      })),
    },
    screws: { net: load.screws.net, withWaste: Math.ceil(load.screws.gross), packs: load.screws.packs },
    sealer: { ...net(load.sealer.net), withWaste: volume(load.sealer.gross), packs: load.sealer.packs },
    beadStrip: fromMm(load.cover.strip, house.unit),
    trim: {
      joints: Object.fromEntries(
        load.cover.joints.map(({ class: kind, length: own }) => [kind, fromMm(own, house.unit)]),
      ),
      withWaste: fromMm(load.cover.trim, house.unit),
      caulk: load.cover.caulk,
    },
  };
}

/** The bead and trim of a house, with the rooms that it belongs to. */
const beadOf = (house: House, taken: (room: Room) => TakeOff): readonly RoomBead[] =>
  house.rooms.flatMap((room) => taken(room).tally.beadPieces.map((piece) => ({ ...piece, room: room.id })));

/** More kinds of stick are not sold. */
const MOST_STICKS = 12;

/**
 * `oak cut`: the sticks of each profile with what is cut from them, what they cost (their length), and the bound below which nothing can;
 * lengths in the file's unit.
 */
export function cutReport(house: House, options: Readonly<{ sticks?: string; kerf?: string }>) {
  const { unit } = house;
  const lengthOf = (option: string, text: string, least: number): number => {
    const length = parseLength(text, unit);
    if (!length.ok) throw new Refusal(`--${option}: "${text}": ${length.reason}`);
    if (length.mm < least || length.mm > 1e5) throw new Refusal(`--${option}: "${text}" is no length of a stick`);
    return length.mm;
  };
  const sticks = options.sticks?.split(',').map((text) => lengthOf('sticks', text.trim(), 1));
  if (sticks && sticks.length > MOST_STICKS) throw new Refusal(`--sticks: at most ${MOST_STICKS} lengths`);
  const kerf = options.kerf === undefined ? undefined : lengthOf('kerf', options.kerf, 0);
  if (kerf !== undefined && kerf > 100) throw new Refusal('--kerf: is wider than any saw');
  const lengths = sticks && [...new Set(sticks)].map((length) => ({ length }));
  const cuts = cutBead(
    beadOf(house, takeOffOnce(house)),
    unit,
    lengths && { sticks: lengths, offcuts: [], splice: undefined },
    kerf,
  );
  return {
    unit,
    profiles: cuts.map(({ profile, pieces, list }) => ({
      profile,
      sticks: list.sticks.map(({ length, cuts: own }) => ({
        length: fromMm(length, unit),
        cuts: own.map((cut) => ({
          edge: `${pieces[cut.piece]?.room}/${pieces[cut.piece]?.edge}`,
          length: fromMm(cut.length, unit),
        })),
      })),
      cost: fromMm(list.cost, unit),
      bound: fromMm(list.bound, unit),
    })),
  };
}

/** `oak line`: the room that a quick line says, or the reason with its place in the line. */
export function lineReport(text: string, unit: string | undefined) {
  if (unit !== undefined && unit !== 'in' && unit !== 'mm') throw new Refusal(`--unit: "${unit}" is neither in nor mm`);
  const reading = parseQuickLine(text, { unit: unit ?? 'in', hang: {} });
  if (reading.ok) return { room: reading.room };
  const mend = reading.mend ? `; ${reading.mend.label}: ${reading.mend.line(text)}` : '';
  throw new Refusal(`line, character ${reading.at + 1}: ${reading.reason}${mend}`);
}

/** The options of `oak dry`, as written. */
export interface DryOptions {
  readonly temp?: string;
  readonly rh?: string;
  readonly air?: string;
  readonly thick?: string;
  readonly mud?: string;
}

/** `oak dry`: hours until a coat is set, may be coated and may be sanded. */
export function dryReport(options: DryOptions) {
  const temperature = temperatureFrom(options.temp);
  const humidity = numberFrom('--rh', options.rh, 0, 100);
  const speed = options.air === undefined ? 0 : numberFrom('--air', options.air, 0, 20);
  const wet = { mud: mudFrom(options.mud), thickness: thicknessFrom(options.thick), substrate: 'board' } as const;
  const times = coatTimes(wet, { temperature, humidity, speed });
  const warnings = times.troubles.map((trouble) => troubleWords(trouble));
  const hours = (value: number) => (Number.isFinite(value) ? Math.round(value * 100) / 100 : null);
  return {
    ...(times.setHours === undefined ? {} : { setHours: hours(times.setHours) }),
    recoatHours: hours(times.recoatHours),
    sandHours: hours(times.sandHours),
    warnings,
  };
}

/** The air of `--temp` and `--rh`; what is not written is as in a heated house. */
export const airFrom = ({ temp, rh }: { readonly temp?: string; readonly rh?: string }): Air => ({
  temperature: temp === undefined ? ASSUMED_AIR.temperature : temperatureFrom(temp),
  humidity: rh === undefined ? ASSUMED_AIR.humidity : numberFrom('--rh', rh, 0, 100),
});

function temperatureFrom(text: string | undefined): number {
  const match = /^(-?\d+(?:\.\d+)?)\s*°?\s*([FC])$/i.exec(text?.trim() ?? '');
  if (!match)
    throw new Refusal(`--temp: ${text === undefined ? 'is missing' : `"${text}" is no temperature`}; write 70F or 21C`);
  const value = Number(match[1]);
  const celsius = match[2]?.toUpperCase() === 'F' ? celsiusFromFahrenheit(value) : value;
  if (celsius < -40 || celsius > 60) throw new Refusal(`--temp: ${text} is no air that people work in`);
  return celsius;
}

function numberFrom(name: string, text: string | undefined, least: number, most: number): number {
  const written = /^\s*([-+]?(?:\d+(?:\.\d*)?|\.\d+))\s*%?\s*$/.exec(text ?? '')?.[1];
  const value = Number(written ?? Number.NaN);
  if (Number.isNaN(value))
    throw new Refusal(`${name}: ${text === undefined ? 'is missing' : `"${text}" is no number`}`);
  if (value < least || value > most) throw new Refusal(`${name}: must be between ${least} and ${most}`);
  return value;
}

function thicknessFrom(text: string | undefined): number {
  if (text === undefined) return USUAL_THICKNESS_MM;
  const reading = parseLength(text, 'in');
  if (!reading.ok) throw new Refusal(`--thick: ${reading.reason}`);
  if (reading.mm <= 0 || reading.mm > 50) throw new Refusal('--thick: must be greater than 0 and at most 2 in');
  return reading.mm;
}

function mudFrom(text: string | undefined): Mud {
  if (text === undefined || text === 'drying') return { kind: 'drying' };
  const minutes = /^[1-9]\d{0,2}$/.test(text) ? Number(text) : 0;
  if (!(minutes > 0 && minutes <= 360))
    throw new Refusal('--mud: is "drying", or the minutes on a setting mud\'s label');
  return { kind: 'setting', minutes };
}
