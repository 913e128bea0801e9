import { QueryTypes, UniqueConstraintError } from 'sequelize';
import type { Company } from '../core/house/company';
import { foldName } from '../core/log/foldName';
import { firm } from './firm';
import { models } from './models';

/** Reads the head of the company's sheets. */
export async function readCompany(): Promise<Company> {
  const [row] = await models().sequelize.query<Company>('SELECT name, address, license FROM firms WHERE id = $1', {
    type: QueryTypes.SELECT,
    bind: [firm()],
  });
  return row ?? { name: '', address: '', license: '' };
}

/**
 * Saves the head of the company's sheets.
 *
 * @returns false where another company has this name
 */
export async function saveCompany({ name, address, license }: Company): Promise<boolean> {
  try {
    await models().sequelize.query(
      'UPDATE firms SET name = $2, folded = $3, address = $4, license = $5 WHERE id = $1',
      {
        bind: [firm(), name, foldName(name), address, license],
      },
    );
    return true;
  } catch (error) {
    if (error instanceof UniqueConstraintError) return false;
    throw error;
  }
}
