import { randomUUID } from 'node:crypto';
import type { CommandName, InputOf } from '../../src/contract/commands';

/** Commands that name a house. */
export type HouseCommand = {
  [Name in CommandName]: InputOf<Name> extends { readonly house: string } ? Name : never;
}[CommandName];

const WALLS = {
  name: 'Another room',
  outline: [
    [0, 0],
    [96, 0],
    [96, 96],
    [0, 96],
  ] as [number, number][],
  height: 96,
};

/** An input that fits, for every command about a house. One that is added without a case here does not compile. */
export function houseInputs(house: string): { readonly [Name in HouseCommand]: InputOf<Name> } {
  const id = randomUUID();
  const change = { id: randomUUID(), after: [] };
  return {
    letIn: { house, person: id },
    shutOut: { house, person: id },
    saveHang: { house, version: 1, hang: {} },
    saveMethod: { house, version: 1, change, method: { level: 5 } },
    saveRoomMethod: { house, room: 'bath', version: 1, change, method: null },
    addRooms: { house, rooms: [WALLS] },
    mergeHouse: { house, added: [WALLS], changed: [], removed: [] },
    saveRoomFinish: { house, room: 'bath', version: 1, finish: { level: 5 } },
    saveRoom: { house, version: 1, room: { ...WALLS, id: 'bath' } },
    copyRoom: { house, room: 'bath', times: 1, mirror: 'none' },
    removeRoom: { house, room: 'bath' },
    restoreRoom: { house, room: 'bath' },
    arrangeRooms: { house, order: [], change },
    placeRoom: { house, room: 'bath', at: [1, 1], change },
    recordAir: { house, room: 'bath', temperature: 20, humidity: 50 },
    importAir: { house, room: 'bath', readings: [{ at: 1_935_000_000_000, temperature: 20, humidity: 50 }] },
    addSensor: { house, room: 'bath', name: 'Another sensor' },
    moveSensor: { house, device: id, room: null },
    removeSensor: { house, device: id },
    trustSensor: { house, device: id },
    setWeather: { house, url: '' },
    setPainters: { house, room: 'bath', day: '2031-06-01' },
    showHouse: { house, what: 'hanger', days: 7 },
    hideHouse: { house, address: id },
  };
}

/** The same for every command there is; no password in them is right. */
export function commandInputs(house: string): { readonly [Name in CommandName]: InputOf<Name> } {
  const [id, password] = [randomUUID(), 'another password'];
  return {
    ...houseInputs(house),
    signIn: { name: `Nobody ${id}`, password },
    setUp: { name: 'Wilma', password },
    signOut: {},
    planAnew: {},
    saveCompany: { name: `Company ${id}`, address: '', license: '' },
    saveCrew: { version: 0, crew: {} },
    saveCatalogue: { version: 0, catalogue: {} },
    makeCalendar: {},
    makeLaser: {},
    endSecret: { kind: 'calendar', person: id },
    unlockSignIn: { person: id },
    changePassword: { password, next: password },
    endSession: { session: id },
    resetPassword: { person: id, password },
    removePerson: { person: id },
    invite: { name: 'Wilma', role: 'finisher', password },
    createHouse: { name: 'Another house', unit: 'in', timeZone: 'UTC' },
    importHouse: { text: '{"format":"oak-tally-house","version":1}', turn: false, timeZone: 'UTC' },
    keepMethod: { name: 'Another method', unit: 'in', choices: {} },
    dropMethod: { id },
  };
}
