'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import { useCommand } from '@/client/useCommand';
import { DRAWING_UNITS, type DrawingUnit } from '@/core/dxf/readDxf';
import type { DrawnRoom } from '@/core/dxf/roomsIn';
import type { HouseHead } from '@/core/house/schema';
import { parseLength } from '@/core/measure/parseLength';
import { fromMm } from '@/core/measure/unit';
import { Dialog } from '@/ui/Dialog';
import { DialogEnd } from '@/ui/DialogEnd';
import { FileField } from '@/ui/FileField';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { turned } from '@/ui/turned';
import { areaWords } from '@/words/lengthWords';
import { plural } from '@/words/plural';
import { DrawnFloor } from './DrawnFloor';
import { useDrawing } from './useDrawing';

const UNIT_NAMES: Readonly<Record<DrawingUnit, string>> = {
  in: 'inches',
  ft: 'feet',
  mm: 'millimetres',
  cm: 'centimetres',
  m: 'metres',
};
const GROUND_FLOOR = 'Ground floor';
const HEIGHT = { in: { typed: "8'", mm: 2438.4 }, mm: { typed: '2500', mm: 2500 } } as const;

/** Rooms from a drawing: which layer, in which unit; a look at what would be taken and at what is left out; then it is taken. */
export function DrawingImport({ house, close }: { readonly house: HouseHead; readonly close: () => void }) {
  const { id: houseId } = useHouse();
  const router = useRouter();
  const { run, busy, message } = useCommand();
  const [height, setHeight] = useState<string>(HEIGHT[house.unit].typed);
  const [floor, setFloor] = useState(GROUND_FLOOR);
  const [without, setWithout] = useState<ReadonlySet<string>>(new Set());
  const { opened, trouble, reading, open, choose } = useDrawing(house, {
    unit: house.unit,
    height: HEIGHT[house.unit].mm,
    floor: GROUND_FLOOR,
  });
  const read = parseLength(height, house.unit);
  const chosen = opened?.found?.rooms.filter((drawn) => !without.has(keyOf(drawn))) ?? [];
  const take = async () => {
    if (!read.ok) return;
    const done = await run('addRooms', {
      house: houseId,
      rooms: chosen.map(({ room, at }) => ({
        ...room,
        at: [at[0], at[1]],
        height: fromMm(read.mm, house.unit),
        floor: floor.trim() || room.floor,
      })),
    });
    if (!done) return;
    close();
    router.refresh();
  };
  return (
    <Dialog title="Rooms from a drawing" close={close} className="w-[min(96vw,64rem)] max-w-none">
      <p className="text-muted">
        Each closed outline on a layer of the DXF file becomes a room, named by the text in it. Add doors and windows
        afterwards. PDF plans can’t be read.
      </p>
      <FileField
        label="Drawing (DXF)"
        accept=".dxf,.pdf,application/dxf,image/vnd.dxf"
        className="max-w-md"
        disabled={busy}
        onFile={(file) => {
          setWithout(new Set());
          open(file);
        }}
      />
      {reading && <p role="status">Reading {reading} …</p>}
      {(trouble ?? message) && (
        <p role="alert" className="text-error">
          {trouble ?? message}
        </p>
      )}
      {opened && (
        <>
          <div className="flex flex-wrap items-start gap-3">
            <SelectField
              label="Layer"
              value={opened.choice.layer}
              options={opened.layers.map(({ name, closed }) => [name, `${name} (${closed} closed)`] as const)}
              onChange={({ target }) => choose({ layer: target.value })}
            />
            <SelectField
              label="Drawn in"
              value={opened.choice.unit}
              options={DRAWING_UNITS.map((unit) => [unit, UNIT_NAMES[unit]] as const)}
              onChange={({ target }) =>
                choose({ unit: DRAWING_UNITS.find((unit) => unit === target.value) ?? opened.choice.unit })
              }
            />
            <TextField
              label="Height of all"
              className="w-32"
              value={height}
              error={read.ok ? undefined : read.reason}
              onChange={({ target }) => setHeight(target.value)}
            />
            <TextField
              label="Floor"
              className="w-44"
              value={floor}
              maxLength={60}
              onChange={({ target }) => setFloor(target.value)}
            />
          </div>
          {opened.found ? (
            <div className="grid gap-4 md:grid-cols-[1fr_18rem]">
              <DrawnFloor rooms={opened.found.rooms} without={without} />
              <div className="max-h-[46dvh] space-y-3 overflow-y-auto">
                <ul aria-label="Rooms in the drawing">
                  {opened.found.rooms.map((drawn) => (
                    <li key={keyOf(drawn)}>
                      <label className="flex min-h-11 items-center gap-2">
                        <input
                          type="checkbox"
                          className="checkbox"
                          checked={!without.has(keyOf(drawn))}
                          onChange={() => setWithout(turned(without, keyOf(drawn)))}
                        />
                        <span className="flex-1">{drawn.room.name}</span>
                        <span className="text-sm text-muted">{areaWords(drawn.area, house.unit)}</span>
                      </label>
                    </li>
                  ))}
                </ul>
                {opened.found.rooms.length === 0 && <p>No room in this layer.</p>}
                {opened.found.left.length > 0 && (
                  <section aria-label="Left out">
                    <h3 className="text-sm font-semibold">Left out</h3>
                    <ul className="text-sm text-muted">
                      {opened.found.left.map(({ what, why }, index) => (
                        <li key={index}>
                          <span className="first-letter:uppercase">{what}</span> {why}
                        </li>
                      ))}
                    </ul>
                  </section>
                )}
              </div>
            </div>
          ) : (
            <p role="status">Looking at the layer …</p>
          )}
        </>
      )}
      <DialogEnd
        words={busy ? 'Saving …' : `Save ${plural(chosen.length, 'room')}`}
        disabled={busy || chosen.length === 0 || !read.ok}
        go={() => void take()}
        close={close}
      />
    </Dialog>
  );
}

/** Rooms are told apart by their names, which are made so. */
const keyOf = ({ room }: DrawnRoom): string => room.name;
