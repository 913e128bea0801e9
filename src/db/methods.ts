import type { LengthUnit } from '../core/measure/unit';
import type { MethodChoices } from '../core/room/methodSchema';
import { models } from './models';

/** A method that a lead kept under a name; its widths are in the unit of the house it came from. */
export interface KeptMethod {
  readonly id: string;
  readonly name: string;
  readonly unit: LengthUnit;
  readonly choices: MethodChoices;
}

export async function listMethods(): Promise<readonly KeptMethod[]> {
  const rows = await models().MethodRow.findAll({ order: [['name', 'ASC']] });
  return rows.map(({ id, name, unit, choices }) => ({ id, name, unit, choices }));
}

/** Keeps a method under its name; one that is kept under it already is replaced. */
export async function keepMethod(
  name: string,
  unit: LengthUnit,
  choices: MethodChoices,
  keptBy: string,
  keptAt: Date,
): Promise<void> {
  await models().MethodRow.upsert({ name, unit, choices, keptBy, keptAt }, { conflictFields: ['firm', 'name'] });
}

/** @returns whether there was one */
export async function dropMethod(id: string): Promise<boolean> {
  return (await models().MethodRow.destroy({ where: { id } })) > 0;
}
