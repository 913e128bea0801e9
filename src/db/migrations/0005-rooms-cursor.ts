import type { QueryInterface } from 'sequelize';

/**
 * `rooms_seq` counts every change of a house's rooms and of what they take their defaults from: kept, added, removed,
 * brought back, put in another order or place. A page that carries a lower number is behind.
 */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    ALTER TABLE houses ADD rooms_seq integer NOT NULL DEFAULT 0;

    CREATE FUNCTION count_house_change() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      IF NEW.version <> OLD.version THEN NEW.rooms_seq := OLD.rooms_seq + 1; END IF;
      RETURN NEW;
    END $$;
    CREATE TRIGGER house_counted BEFORE UPDATE ON houses FOR EACH ROW EXECUTE FUNCTION count_house_change();

    CREATE FUNCTION count_room_changes() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      UPDATE houses SET rooms_seq = rooms_seq + 1 WHERE id IN (SELECT house_id FROM changed);
      RETURN NULL;
    END $$;
    CREATE TRIGGER rooms_added AFTER INSERT ON rooms REFERENCING NEW TABLE AS changed
      FOR EACH STATEMENT EXECUTE FUNCTION count_room_changes();
    CREATE TRIGGER rooms_changed AFTER UPDATE ON rooms REFERENCING NEW TABLE AS changed
      FOR EACH STATEMENT EXECUTE FUNCTION count_room_changes();

    -- The house itself tells now of its rooms.
    DROP TRIGGER room_changed ON rooms;
  `);
}
