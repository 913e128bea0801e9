import { isTape, WARES, type WareName, type Wares } from '@/core/materials/catalogue';
import type { Catalogue, Product } from '@/core/materials/catalogueSchema';
import { formatLength } from '@/core/measure/formatLength';
import { parseLength } from '@/core/measure/parseLength';
import { gallonsFromLitres, type LengthUnit, litresFromGallons, MM_PER_FOOT } from '@/core/measure/unit';
import { STICK_PROFILES } from '@/core/room/kinds';

/** What is said of one thing that is bought. */
export const PRODUCT_FIELDS = ['called', 'pack', 'price', 'leadDays', 'waste', 'shrinkage', 'use'] as const;
export type ProductField = (typeof PRODUCT_FIELDS)[number];
type StickProfile = (typeof STICK_PROFILES)[number];

/** A catalogue as it is typed; empty is as usual. */
export interface CatalogueTexts {
  readonly products: Readonly<Record<WareName, Readonly<Record<ProductField, string>>>>;
  readonly coverage: string;
  /** On the bag of setting mud. */
  readonly minutes: string;
  readonly splice: string;
  /** 8' = 3.20, 10' = 4.10 */
  readonly sticks: string;
  /** 4', 3'6 */
  readonly offcuts: Readonly<Record<StickProfile, string>>;
}

export type CatalogueReading =
  | { readonly ok: true; readonly catalogue: Catalogue }
  | { readonly ok: false; readonly field: string; readonly reason: string };

/** What a pack is measured in where people measure so. */
export function packUnit(name: WareName, unit: LengthUnit): string {
  if (name === 'screws') return '';
  if (isTape(name)) return unit === 'in' ? 'ft' : 'm';
  return unit === 'in' ? 'gal' : 'l';
}

/** So much of a pack, litres or mm or screws, in what it is measured in there. */
export function packNumber(name: WareName, amount: number, unit: LengthUnit): number {
  const own =
    name === 'screws'
      ? amount
      : isTape(name)
        ? amount / (unit === 'in' ? MM_PER_FOOT : 1000)
        : unit === 'in'
          ? gallonsFromLitres(amount)
          : amount;
  return Math.round(own * 1000) / 1000;
}

function packAmount(name: WareName, value: number, unit: LengthUnit): number {
  if (name === 'screws') return value;
  if (isTape(name)) return value * (unit === 'in' ? MM_PER_FOOT : 1000);
  return unit === 'in' ? litresFromGallons(value) : value;
}

/** mm² a litre of what is said as ft² a gallon, or m² a litre. */
const coverageIn = (unit: LengthUnit): number => (unit === 'in' ? MM_PER_FOOT ** 2 / litresFromGallons(1) : 1e6);
export const coverageNumber = ({ coverage }: Pick<Wares, 'coverage'>, unit: LengthUnit): number =>
  Math.round((coverage / coverageIn(unit)) * 10) / 10;

/** What is said of a catalogue, to be typed over. */
export function textsOf(catalogue: Catalogue, unit: LengthUnit): CatalogueTexts {
  const text = (value: number | undefined) => (value === undefined ? '' : String(value));
  const product = (name: WareName): Record<ProductField, string> => {
    const { called, pack, price, leadDays, waste, shrinkage, use } = catalogue.products[name] ?? {};
    return {
      called: called ?? '',
      pack: text(pack === undefined ? undefined : packNumber(name, pack, unit)),
      price: text(price),
      leadDays: text(leadDays),
      waste: text(waste === undefined ? undefined : Math.round(waste * 1000) / 10),
      shrinkage: text(shrinkage === undefined ? undefined : Math.round(shrinkage * 1000) / 10),
      use: text(use),
    };
  };
  const length = (mm: number) => formatLength(mm, unit);
  return {
    products: Object.fromEntries(WARES.map((name) => [name, product(name)])) as CatalogueTexts['products'],
    minutes: text(catalogue.products.setting?.minutes),
    splice: text(catalogue.splice),
    coverage: catalogue.coverage === undefined ? '' : String(coverageNumber({ coverage: catalogue.coverage }, unit)),
    sticks: (catalogue.sticks ?? [])
      .map((stick) => length(stick.length) + (stick.price === undefined ? '' : ` = ${stick.price}`))
      .join(', '),
    offcuts: Object.fromEntries(
      STICK_PROFILES.map((profile) => [
        profile,
        catalogue.offcuts.flatMap((left) => (left.profile === profile ? [length(left.length)] : [])).join(', '),
      ]),
    ) as CatalogueTexts['offcuts'],
  };
}

/** Reads what was typed; what cannot be read is refused with its field. */
export function catalogueIn(texts: CatalogueTexts, unit: LengthUnit): CatalogueReading {
  try {
    const products: Partial<Record<WareName, Product>> = {};
    for (const name of WARES) {
      const product = productIn(name, texts.products[name], unit);
      if (Object.keys(product).length > 0) products[name] = product;
    }
    const minutes = numberIn(texts.minutes, 'minutes', 1, 360);
    if (minutes !== undefined) products.setting = { ...products.setting, minutes: Math.round(minutes) };
    const splice = numberIn(texts.splice, 'splice', 0, 100_000);
    const coverage = numberIn(texts.coverage, 'coverage', 1e-6, 1e5);
    const sticks = partsOf(texts.sticks).map((part) => {
      const [length = '', price] = part.split('=');
      const paid = price === undefined ? undefined : numberIn(price, 'sticks', 0, 100_000);
      return { length: lengthIn(length, 'sticks', unit), ...(paid === undefined ? {} : { price: paid }) };
    });
    const priced = sticks.filter(({ price }) => price !== undefined).length;
    if (priced > 0 && priced < sticks.length) throw new Unread('sticks', 'say the price of every stick, or of none');
    return {
      ok: true,
      catalogue: {
        products,
        ...(coverage === undefined ? {} : { coverage: coverage * coverageIn(unit) }),
        ...(sticks.length === 0 ? {} : { sticks }),
        ...(splice === undefined ? {} : { splice }),
        offcuts: STICK_PROFILES.flatMap((profile) =>
          partsOf(texts.offcuts[profile]).map((part) => ({
            profile,
            length: lengthIn(part, `offcuts.${profile}`, unit),
          })),
        ),
      },
    };
  } catch (fault) {
    if (fault instanceof Unread) return { ok: false, field: fault.field, reason: fault.message };
    throw fault;
  }
}

/** What was typed cannot be read: in which field, and why. */
class Unread extends Error {
  constructor(
    readonly field: string,
    reason: string,
  ) {
    super(reason);
  }
}

function productIn(name: WareName, texts: Readonly<Record<ProductField, string>>, unit: LengthUnit): Product {
  const number = (field: ProductField, least: number, most: number) =>
    numberIn(texts[field], `${name}.${field}`, least, most);
  const pack = number('pack', 1e-6, 1e6);
  const price = number('price', 0, 100_000);
  const leadDays = number('leadDays', 0, 90);
  if (leadDays !== undefined && !Number.isInteger(leadDays)) throw new Unread(`${name}.leadDays`, 'are whole days');
  const waste = number('waste', 0, 50);
  const shrinkage = number('shrinkage', 0, 50);
  const use = number('use', 0.3, 3);
  const called = texts.called.trim();
  return {
    ...(called === '' ? {} : { called: called.slice(0, 40) }),
    ...(pack === undefined ? {} : { pack: packAmount(name, pack, unit) }),
    ...(price === undefined ? {} : { price }),
    ...(leadDays === undefined ? {} : { leadDays }),
    ...(waste === undefined ? {} : { waste: waste / 100 }),
    ...(shrinkage === undefined ? {} : { shrinkage: shrinkage / 100 }),
    ...(use === undefined ? {} : { use }),
  };
}

function numberIn(text: string, field: string, least: number, most: number): number | undefined {
  if (text.trim() === '') return undefined;
  const value = Number(text.trim().replace(',', '.'));
  if (!Number.isFinite(value)) throw new Unread(field, `"${text.trim()}" is no number`);
  if (value < least)
    throw new Unread(field, least > 0 && least < 0.01 ? 'must be greater than 0' : `must be at least ${least}`);
  if (value > most) throw new Unread(field, `must be at most ${most.toLocaleString('en-US')}`);
  return value;
}

const partsOf = (text: string): readonly string[] =>
  text
    .split(',')
    .map((part) => part.trim())
    .filter((part) => part !== '');

const SHORTEST_MM = 100;
const LONGEST_MM = 7000;
function lengthIn(text: string, field: string, unit: LengthUnit): number {
  const length = parseLength(text, unit);
  if (!length.ok) throw new Unread(field, `"${text.trim()}": ${length.reason}`);
  if (length.mm < SHORTEST_MM || length.mm > LONGEST_MM)
    throw new Unread(field, `"${text.trim()}" is no length of a stick`);
  return length.mm;
}
