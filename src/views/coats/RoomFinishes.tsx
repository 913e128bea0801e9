'use client';

import { useHouse } from '@/client/HouseContext';
import { useCommand } from '@/client/useCommand';
import { LIGHTS, SURFACES } from '@/core/room/kinds';
import { LEVELS, type Level } from '@/core/room/level';
import type { Room } from '@/core/room/schema';
import { levelFor } from '@/core/section/tolerance';
import { faceWords } from '@/words/faceWords';

type Finish = NonNullable<Room['finish']>;

/** Room by room and face by face: what will cover it, what lights it, the level that asks for, and the level chosen. */
export function RoomFinishes({
  houseLevel,
  rooms,
  mayEdit,
}: {
  readonly houseLevel: Level;
  readonly rooms: readonly {
    readonly room: Pick<Room, 'id' | 'name' | 'finish'>;
    readonly version: number;
    readonly faces: readonly { readonly id: string; readonly place: string }[];
  }[];
  readonly mayEdit: boolean;
}) {
  const { id: houseId } = useHouse();
  const { run, busy, message, setMessage } = useCommand();
  const save = async ({ id, name }: Pick<Room, 'id' | 'name'>, version: number, finish: Finish) => {
    const saved = await run('saveRoomFinish', { house: houseId, room: id, version, finish });
    if (saved?.kind === 'stale') setMessage(`Somebody changed ${name} in the meantime. Choose again.`);
  };
  if (rooms.length === 0) return <p className="text-muted">No rooms yet.</p>;
  return (
    <>
      {message && (
        <p role="alert" className="text-error">
          {message}
        </p>
      )}
      <ul className="grid gap-x-8 lg:grid-cols-2 2xl:grid-cols-3">
        {rooms.map(({ room, version, faces }) => (
          <li key={room.id} className="border-t border-base-300 py-2">
            <FinishRow
              name={room.name}
              finish={room.finish ?? {}}
              houseLevel={houseLevel}
              locked={!mayEdit || busy}
              save={(finish) =>
                void save(room, version, { ...finish, ...(room.finish?.faces && { faces: room.finish.faces }) })
              }
            />
            <details className="mt-1">
              <summary className="cursor-pointer text-sm text-primary">
                Faces{Object.keys(room.finish?.faces ?? {}).length > 0 ? ', some of their own' : ''}
              </summary>
              <ul className="mt-1 space-y-2 border-l-2 border-base-300 pl-3">
                {faces.map(({ id: face, place }) => (
                  <li key={face}>
                    <FinishRow
                      name={faceWords(place, faces.filter((own) => own.place.startsWith('c')).length).replace(
                        /^./,
                        (first) => first.toUpperCase(),
                      )}
                      finish={room.finish?.faces?.[face] ?? {}}
                      houseLevel={room.finish?.level ?? houseLevel}
                      locked={!mayEdit || busy}
                      save={(finish) => {
                        const { [face]: _before, ...others } = room.finish?.faces ?? {};
                        const said = Object.keys(finish).length > 0 ? { ...others, [face]: finish } : others;
                        void save(room, version, { ...room.finish, faces: said });
                      }}
                    />
                  </li>
                ))}
              </ul>
            </details>
          </li>
        ))}
      </ul>
    </>
  );
}

type RowFinish = Pick<Finish, 'level' | 'surface' | 'light'>;

function FinishRow({
  name,
  finish,
  houseLevel,
  locked,
  save,
}: {
  readonly name: string;
  readonly finish: RowFinish;
  readonly houseLevel: Level;
  readonly locked: boolean;
  readonly save: (finish: RowFinish) => void;
}) {
  const { level, surface, light } = finish;
  const asked = surface || light ? levelFor(surface, light) : undefined;
  const set = (change: { [Key in keyof RowFinish]?: RowFinish[Key] | undefined }) => {
    const next = { level, surface, light, ...change };
    save({
      ...(next.level === undefined ? {} : { level: next.level }),
      ...(next.surface === undefined ? {} : { surface: next.surface }),
      ...(next.light === undefined ? {} : { light: next.light }),
    });
  };
  return (
    <div>
      <p className="font-medium">{name}</p>
      <div className="mt-1 grid grid-cols-3 gap-1.5">
        <select
          aria-label={`Surface of ${name}`}
          className="select select-sm min-h-10 w-full"
          disabled={locked}
          value={surface ?? ''}
          onChange={(event) => set({ surface: SURFACES.find((own) => own === event.target.value) })}
        >
          <option value="">any surface</option>
          {SURFACES.map((own) => (
            <option key={own}>{own}</option>
          ))}
        </select>
        <select
          aria-label={`Light of ${name}`}
          className="select select-sm min-h-10 w-full"
          disabled={locked}
          value={light ?? ''}
          onChange={(event) => set({ light: LIGHTS.find((own) => own === event.target.value) })}
        >
          <option value="">any light</option>
          {LIGHTS.map((own) => (
            <option key={own}>{own}</option>
          ))}
        </select>
        <select
          aria-label={`Level of ${name}`}
          className="select select-sm min-h-10 w-full"
          disabled={locked}
          value={level ?? ''}
          onChange={(event) => set({ level: LEVELS.find((own) => String(own) === event.target.value) })}
        >
          <option value="">as house ({houseLevel})</option>
          {LEVELS.map((own) => (
            <option key={own} value={own}>
              level {own}
            </option>
          ))}
        </select>
      </div>
      {asked !== undefined && asked !== (level ?? houseLevel) && (
        <p className="mt-1 flex items-center gap-2 text-sm">
          <span>
            {surface ?? 'Paint'} in {light ?? 'ordinary'} light asks for level {asked}.
          </span>
          {!locked && (
            <button type="button" className="btn btn-xs min-h-8" onClick={() => set({ level: asked })}>
              Level {asked}
            </button>
          )}
        </p>
      )}
    </div>
  );
}
