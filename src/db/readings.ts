import { models } from './models';

/** Air measured at an instant; °C and %. A reading without a room is the house's. */
export interface Reading {
  readonly device: string;
  readonly at: Date;
  readonly roomId: string | null;
  readonly temperature: number;
  readonly humidity: number;
}

/** All readings of a house in order of time. */
export async function listReadings(houseId: string): Promise<readonly Reading[]> {
  const rows = await models().ReadingRow.findAll({ where: { houseId }, order: ['at'] });
  return rows.map(({ device, at, roomId, temperature, humidity }) => ({ device, at, roomId, temperature, humidity }));
}

/** Records readings; one device at one instant is one reading, and the later word counts. */
export async function recordReadings(houseId: string, readings: readonly Reading[]): Promise<void> {
  await models().ReadingRow.bulkCreate(
    readings.map((reading) => ({ houseId, ...reading })),
    { updateOnDuplicate: ['roomId', 'temperature', 'humidity'] },
  );
}
