import { celsiusFromFahrenheit } from '../../core/measure/unit';
import { appendEntries } from '../entries';
import { addHouse } from '../houses';
import { models } from '../models';
import { addPerson, anyPeople } from '../people';
import { recordReadings } from '../readings';
import { demoHouse } from './demoHouse';
import { DEMO_PEOPLE, type DemoName, demoLog } from './demoLog';

/** Every demo account has this password. */
export const DEMO_PASSWORD = 'oak-demo';
const DAY_MS = 86_400_000;

/** Puts the demo's people, house, log and a week of morning readings into an empty database. */
export async function loadDemo(now: Date, timeZone: string): Promise<void> {
  const ids: Partial<Record<DemoName, string>> = {};
  for (const { name, role } of DEMO_PEOPLE) ids[name] = (await addPerson(name, role, DEMO_PASSWORD))?.id;
  const idOf = (name: DemoName): string => {
    const id = ids[name];
    if (id === undefined) throw new Error(`there is a person called ${name} already`);
    return id;
  };
  const house = demoHouse();
  const houseId = await addHouse(house, timeZone);
  const everyone = {
    Marit: idOf('Marit'),
    Tobin: idOf('Tobin'),
    Ines: idOf('Ines'),
    Osei: idOf('Osei'),
    Petra: idOf('Petra'),
    Builder: idOf('Builder'),
  };
  for (const [index, { by, entry }] of demoLog(house, everyone, now, timeZone).entries()) {
    const role = DEMO_PEOPLE.find(({ name }) => name === by)?.role ?? 'finisher';
    const result = await appendEntries(houseId, { id: everyone[by], role }, [entry]);
    if (result.kind !== 'recorded') throw new Error(`entry ${index} of the demo was refused: ${result.kind}`);
  }
  await recordReadings(
    houseId,
    MORNINGS.map(([daysAgo, fahrenheit, humidity]) => ({
      device: 'typed',
      at: new Date(now.getTime() - daysAgo * DAY_MS),
      roomId: null,
      temperature: celsiusFromFahrenheit(fahrenheit),
      humidity,
    })),
  );
}

/** Days ago, °F and % in the house. */
const MORNINGS: readonly (readonly [number, number, number])[] = [
  [7, 63, 60],
  [6, 64, 61],
  [5, 65, 60],
  [4, 66, 57],
  [3, 66, 58],
  [2, 67, 58],
  [1, 66, 59],
  [0, 66, 58],
];

/** Whether nobody and nothing is in the database yet. */
export const isEmpty = async (): Promise<boolean> => !(await anyPeople());

/** Deletes everything. */
export async function clearDatabase(): Promise<void> {
  await models().sequelize.query('TRUNCATE people, houses, rooms, entries, readings, methods');
}
