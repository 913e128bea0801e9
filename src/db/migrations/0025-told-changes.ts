import type { QueryInterface } from 'sequelize';

/** What pages of all houses of a company depend on, besides the houses themselves. */
const OF_COMPANY = ['crews', 'catalogues', 'methods', 'people'];
/** The same of one house. */
const OF_HOUSE = ['devices'];

/** Counts a change of what pages depend on as one of their houses: every open page hears of it. */
export async function up({ sequelize }: QueryInterface): Promise<void> {
  await sequelize.query(`
    CREATE FUNCTION count_company_changes() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      UPDATE houses SET rooms_seq = rooms_seq + 1 WHERE firm IN (SELECT firm FROM changed);
      RETURN NULL;
    END $$;
    ${OF_COMPANY.map((table) => triggers(table, 'count_company_changes')).join('')}
    ${OF_HOUSE.map((table) => triggers(table, 'count_room_changes')).join('')}`);
}

const triggers = (table: string, counts: string): string =>
  [
    ['INSERT', 'NEW'],
    ['UPDATE', 'NEW'],
    ['DELETE', 'OLD'],
  ]
    .map(
      ([event = '', rows]) => `
    CREATE TRIGGER told_${event.toLowerCase()} AFTER ${event} ON ${table} REFERENCING ${rows} TABLE AS changed
      FOR EACH STATEMENT EXECUTE FUNCTION ${counts}();`,
    )
    .join('');
