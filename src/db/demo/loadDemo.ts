import { randomUUID } from 'node:crypto';
import { TZDate } from '@date-fns/tz';
import { addDays, format, isWeekend, nextMonday } from 'date-fns';
import { DEMO_SENSORS, DEMO_WEATHER_SEED, DEMO_WEATHER_URL } from '../../../standins/demoSensors';
import { readings } from '../../../standins/room';
import { weatherReport } from '../../../standins/weather';
import { sortReadings } from '../../core/air/reading';
import { hoursOf, weatherReportSchema } from '../../core/air/weatherReport';
import type { House } from '../../core/house/schema';
import { saveCatalogue } from '../catalogues';
import { saveCompany } from '../company';
import { saveCrew, savePainters } from '../crews';
import { addDevice } from '../devices';
import { appendEntries } from '../entries';
import { firm, inFirm } from '../firm';
import { addFirm } from '../firms';
import { addHouse } from '../houses';
import { models } from '../models';
import { addPerson } from '../people';
import { keepPhoto } from '../photos';
import { recordReadings } from '../readings';
import { letIn } from '../viewers';
import { saveWeather, setWeatherUrl } from '../weather';
import { DEMO_CATALOGUE } from './demoCatalogue';
import { demoCrew } from './demoCrew';
import { demoHouse } from './demoHouse';
import { type DemoEntry, demoLog } from './demoLog';
import { DEMO_PASSWORD, DEMO_PEOPLE, type DemoName } from './demoPeople';
import { demoPhoto } from './demoPhoto';
import { LOADING } from './loaded';

const DEMO_FIRM = 'Demo crew';
const WEEK_MS = 7 * 86_400_000;
const EVERY_MS = 10 * 60_000;
const PAINTERS_IN_DAYS = 16;

/** The demo's people in a database, by name. */
export type DemoIds = Readonly<Record<DemoName, string>>;

/** Puts the demo into an empty database. Who is killed meanwhile leaves it marked as half loaded. */
export async function loadDemo(now: Date, timeZone: string): Promise<void> {
  const { sequelize } = models();
  await sequelize.query('INSERT INTO unfinished VALUES ($1) ON CONFLICT DO NOTHING', { bind: [LOADING] });
  const { firm, ids } = await addDemoPeople();
  await inFirm(firm, async () => {
    await saveCrew(0, demoCrew(ids));
    await saveCatalogue(0, DEMO_CATALOGUE);
    await saveCompany({ name: DEMO_FIRM, address: '12 Kiln Lane, 555 0100', license: 'License D-0000 (demo)' });
    const house = await loadDemoHouse(ids, now, timeZone);
    // The painters come a fortnight from now, on no weekend.
    const painters = addDays(new TZDate(now, timeZone), PAINTERS_IN_DAYS);
    await savePainters(house, null, format(isWeekend(painters) ? nextMonday(painters) : painters, 'yyyy-MM-dd'));
  });
  await sequelize.query('DELETE FROM unfinished WHERE work = $1', { bind: [LOADING] });
}

/** The demo's firm and its people. */
export async function addDemoPeople(): Promise<{ readonly firm: string; readonly ids: DemoIds }> {
  const [lead, ...others] = DEMO_PEOPLE;
  const first = await addFirm(DEMO_FIRM, lead.name, DEMO_PASSWORD);
  if (!first) throw new Error(`there is a firm called ${DEMO_FIRM} already`);
  const ids: Partial<Record<DemoName, string>> = { [lead.name]: first.id };
  for (const { name, role } of others)
    ids[name] = (await inFirm(first.firm, () => addPerson(name, role, DEMO_PASSWORD)))?.id;
  const idOf = (name: DemoName): string => {
    const id = ids[name];
    if (id === undefined) throw new Error(`there is a person called ${name} already`);
    return id;
  };
  const all = {
    Marit: idOf('Marit'),
    Tobin: idOf('Tobin'),
    Ines: idOf('Ines'),
    Osei: idOf('Osei'),
    Petra: idOf('Petra'),
    Builder: idOf('Builder'),
  };
  return { firm: first.firm, ids: all };
}

/**
 * The demo's house in the middle of the job, its log, sensors and a week of their readings.
 *
 * @param keyEnd what the keys of its sensors end with, where there is more than one such house
 * @returns the id of the house
 */
export async function loadDemoHouse(people: DemoIds, now: Date, timeZone: string, keyEnd = ''): Promise<string> {
  const house = demoHouse();
  const houseId = await addHouse(house, timeZone);
  const photo = randomUUID();
  await keepPhoto({ id: photo, houseId, by: people.Tobin, hash: photo }, await demoPhoto());
  const log = demoLog(house, people, now, timeZone, photo);
  for (const { name, role } of DEMO_PEOPLE) {
    const own = log.filter(({ by }) => by === name).map(({ entry }) => entry);
    const result = await appendEntries(houseId, { id: people[name], role }, own);
    if (result.kind !== 'recorded') throw new Error(`an entry of ${name} in the demo was refused: ${result.kind}`);
  }
  // Its days are over: nobody logged all of it a moment ago.
  await models().sequelize.query('UPDATE entries SET recorded_at = at WHERE firm = $1 AND house_id = $2', {
    bind: [firm(), houseId],
  });
  await letIn(houseId, people.Builder);
  await measureDemo(houseId, house, log, now, keyEnd);
  return houseId;
}

/** A week of readings and the weather, as the stand-ins send them, sorted and recorded as those of real devices. */
async function measureDemo(
  houseId: string,
  house: House,
  log: readonly DemoEntry[],
  now: Date,
  keyEnd: string,
): Promise<void> {
  for (const { room, key, sim } of DEMO_SENSORS) {
    const name = house.rooms.find(({ id }) => id === room)?.name ?? room;
    const { id } = await addDevice(houseId, room, `${name} sensor`, key + keyEnd);
    const own = log.filter(({ entry }) => entry.room === room && entry.kind === 'coat');
    const wetAt = [...new Set(own.map(({ entry }) => Date.parse(entry.at)))];
    const sent = readings({ ...sim, wetAt }, now.getTime() - WEEK_MS, now.getTime(), EVERY_MS);
    const { kept, refused } = sortReadings(sent, now.getTime());
    if (refused.length > 0) throw new Error(`a reading of ${name} was refused: ${refused[0]?.reason}`);
    await recordReadings(houseId, id, room, kept);
  }
  const report = weatherReportSchema.parse(weatherReport(DEMO_WEATHER_SEED, now.getTime()));
  await saveWeather(houseId, hoursOf(report), now);
  await setWeatherUrl(houseId, DEMO_WEATHER_URL);
}
