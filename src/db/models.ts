import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
  type WhereOptions,
} from 'sequelize';
import type { HouseHead } from '../core/house/schema';
import type { NewEntry } from '../core/log/entry';
import { ENTRY_VERSION } from '../core/log/liftEntry';
import type { Role } from '../core/log/person';
import type { LengthUnit } from '../core/measure/unit';
import type { MethodChoices } from '../core/room/methodSchema';
import type { Room } from '../core/room/schema';
import type { Crew } from '../core/work/crew';
import type { PaintersDates } from '../core/work/painters';
import type { Chain } from './chain';
import { connection } from './connection';
import { firm } from './firm';

export class PersonRow extends Model<InferAttributes<PersonRow>, InferCreationAttributes<PersonRow>> {
  declare firm: CreationOptional<string>;
  declare id: CreationOptional<string>;
  declare name: string;
  /** The name as it is compared. */
  declare folded: string;
  declare role: Role;
  declare passwordHash: string;
  declare removedAt: CreationOptional<Date | null>;
}

export class HouseRow extends Model<InferAttributes<HouseRow>, InferCreationAttributes<HouseRow>> {
  declare firm: CreationOptional<string>;
  declare id: CreationOptional<string>;
  declare head: HouseHead;
  declare timeZone: string;
  declare version: CreationOptional<number>;
  declare nextSeq: CreationOptional<number>;
  declare airSeq: CreationOptional<number>;
  declare roomsSeq: CreationOptional<number>;
  declare weatherUrl: CreationOptional<string | null>;
  declare headChain: CreationOptional<Chain>;
  declare orderChain: CreationOptional<Chain>;
  declare dates: CreationOptional<PaintersDates>;
}

export class RoomRow extends Model<InferAttributes<RoomRow>, InferCreationAttributes<RoomRow>> {
  declare firm: CreationOptional<string>;
  declare houseId: string;
  declare id: string;
  declare position: number;
  declare version: CreationOptional<number>;
  declare room: Room;
  declare removedAt: CreationOptional<Date | null>;
  declare chain: CreationOptional<Chain>;
  declare placeChain: CreationOptional<Chain>;
}

export class EntryRow extends Model<InferAttributes<EntryRow>, InferCreationAttributes<EntryRow>> {
  declare firm: CreationOptional<string>;
  declare id: string;
  declare houseId: string;
  declare seq: number;
  declare roomId: string | null;
  declare kind: NewEntry['kind'];
  declare at: Date;
  declare deviceAt: Date | null;
  declare by: string;
  declare role: Role;
  declare payload: unknown;
  declare version: CreationOptional<number>;
  declare recordedAt: Date;
}

export class DeviceRow extends Model<InferAttributes<DeviceRow>, InferCreationAttributes<DeviceRow>> {
  declare firm: CreationOptional<string>;
  declare id: CreationOptional<string>;
  declare houseId: string;
  declare roomId: string | null;
  declare name: string;
  declare keyHash: string;
  declare madeAt: Date;
  declare removedAt: CreationOptional<Date | null>;
  declare lags: CreationOptional<readonly number[]>;
}

export class MethodRow extends Model<InferAttributes<MethodRow>, InferCreationAttributes<MethodRow>> {
  declare firm: CreationOptional<string>;
  declare id: CreationOptional<string>;
  declare name: string;
  declare unit: LengthUnit;
  declare choices: MethodChoices;
  declare keptBy: string;
  declare keptAt: Date;
}

export class CrewRow extends Model<InferAttributes<CrewRow>, InferCreationAttributes<CrewRow>> {
  declare firm: CreationOptional<string>;
  declare crew: Crew;
  declare version: CreationOptional<number>;
}

const holder: { oakModels?: Sequelize } = globalThis as typeof globalThis & { oakModels?: Sequelize };

/** Binds the models to the connection; every repository calls it before its first query. */
export function models() {
  const sequelize = connection();
  if (holder.oakModels !== sequelize || !PersonRow.sequelize) {
    bind(sequelize);
    holder.oakModels = sequelize;
  }
  return { sequelize, PersonRow, HouseRow, RoomRow, EntryRow, DeviceRow, MethodRow, CrewRow };
}

/** Whatever is asked of a model is asked of the rows of one firm; a row that is made is made for it. */
const ofOneFirm = (options: { where?: WhereOptions | undefined }): void => {
  options.where = { ...options.where, firm: firm() } as WhereOptions;
};
const OF_ONE_FIRM = {
  beforeFind: ofOneFirm,
  beforeCount: ofOneFirm,
  beforeBulkUpdate: ofOneFirm,
  beforeBulkDestroy: ofOneFirm,
};

function bind(sequelize: Sequelize): void {
  const options = { sequelize, timestamps: false, underscored: true, hooks: OF_ONE_FIRM };
  // Functions: Sequelize writes into the definition of a column, so no two may share one.
  const own = () => ({ type: DataTypes.UUID, primaryKey: true, defaultValue: firm });
  const id = () => ({ type: DataTypes.UUID, primaryKey: true, defaultValue: DataTypes.UUIDV4 });
  const text = () => ({ type: DataTypes.TEXT, allowNull: false });
  const count = () => ({ type: DataTypes.INTEGER, allowNull: false });
  const instant = () => ({ type: DataTypes.DATE, allowNull: false });
  const chain = () => ({ type: DataTypes.ARRAY(DataTypes.UUID), allowNull: false, defaultValue: [] });
  const json = () => ({ type: DataTypes.JSONB, allowNull: false });
  PersonRow.init(
    {
      firm: own(),
      id: id(),
      name: text(),
      folded: text(),
      role: text(),
      passwordHash: text(),
      removedAt: DataTypes.DATE,
    },
    { ...options, tableName: 'people' },
  );
  HouseRow.init(
    {
      firm: own(),
      id: id(),
      head: json(),
      timeZone: text(),
      version: { ...count(), defaultValue: 1 },
      nextSeq: { ...count(), defaultValue: 1 },
      airSeq: { ...count(), defaultValue: 0 },
      roomsSeq: { ...count(), defaultValue: 0 },
      weatherUrl: DataTypes.TEXT,
      headChain: chain(),
      orderChain: chain(),
      dates: { ...json(), defaultValue: { rooms: {} } },
    },
    { ...options, tableName: 'houses' },
  );
  RoomRow.init(
    {
      firm: own(),
      houseId: { type: DataTypes.UUID, primaryKey: true },
      id: { type: DataTypes.TEXT, primaryKey: true },
      position: count(),
      version: { ...count(), defaultValue: 1 },
      room: json(),
      removedAt: DataTypes.DATE,
      chain: chain(),
      placeChain: chain(),
    },
    { ...options, tableName: 'rooms' },
  );
  EntryRow.init(
    {
      firm: own(),
      id: { type: DataTypes.UUID, primaryKey: true },
      houseId: { type: DataTypes.UUID, allowNull: false },
      seq: count(),
      roomId: DataTypes.TEXT,
      kind: text(),
      at: instant(),
      deviceAt: DataTypes.DATE,
      by: { type: DataTypes.UUID, allowNull: false },
      role: text(),
      payload: json(),
      version: { type: DataTypes.SMALLINT, allowNull: false, defaultValue: ENTRY_VERSION },
      recordedAt: instant(),
    },
    { ...options, tableName: 'entries' },
  );
  DeviceRow.init(
    {
      firm: own(),
      id: id(),
      houseId: { type: DataTypes.UUID, allowNull: false },
      roomId: DataTypes.TEXT,
      name: text(),
      keyHash: text(),
      madeAt: instant(),
      removedAt: DataTypes.DATE,
      lags: { type: DataTypes.ARRAY(DataTypes.DOUBLE), allowNull: false, defaultValue: [] },
    },
    { ...options, tableName: 'devices' },
  );
  MethodRow.init(
    {
      firm: own(),
      id: id(),
      name: text(),
      unit: text(),
      choices: json(),
      keptBy: { type: DataTypes.UUID, allowNull: false },
      keptAt: instant(),
    },
    { ...options, tableName: 'methods' },
  );
  CrewRow.init(
    { firm: own(), crew: json(), version: { ...count(), defaultValue: 1 } },
    { ...options, tableName: 'crews' },
  );
}
