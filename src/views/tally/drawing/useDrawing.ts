'use client';

import { useState } from 'react';
import { useWorker } from '@/client/useWorker';
import { type DrawingUnit, MOST_DXF_BYTES } from '@/core/dxf/readDxf';
import type { DrawnLayer, RoomsInDrawing } from '@/core/dxf/roomsIn';
import type { RoomDefaults } from '@/core/room/schema';
import type { DrawingWorker } from '@/workers/drawing.worker';

/** How the rooms of a drawing are looked at; how high they are and on which floor is said when they are taken. */
export interface DrawingChoice {
  readonly layer: string;
  readonly unit: DrawingUnit;
  /** mm. */
  readonly height: number;
  readonly floor: string;
}

/** A drawing that was opened, and what of a layer are rooms. */
export interface OpenedDrawing {
  readonly name: string;
  readonly layers: readonly DrawnLayer[];
  readonly choice: DrawingChoice;
  /** While it is looked at there is none. */
  readonly found: RoomsInDrawing | undefined;
}

/** Opens a drawing in a worker, and looks at it by what is chosen. */
export function useDrawing(house: RoomDefaults, usual: Omit<DrawingChoice, 'layer'>) {
  const [opened, setOpened] = useState<OpenedDrawing>();
  const [trouble, setTrouble] = useState<string>();
  const [reading, setReading] = useState<string>();
  const failed = () => {
    setReading(undefined);
    setTrouble('The drawing could not be read in this browser. Reload the page, or save it with less in it.');
  };
  const worker = useWorker<DrawingWorker>(
    () => new Worker(new URL('../../../workers/drawing.worker.ts', import.meta.url), { type: 'module' }),
    failed,
  );
  const look = async (of: Omit<OpenedDrawing, 'found'>) => {
    setOpened({ ...of, found: undefined });
    const asked = worker.ask();
    const found = await asked.rooms(of.choice, house);
    if (worker.isAsked(asked) && found) setOpened((now) => (now && now.choice === of.choice ? { ...now, found } : now));
  };
  const open = async (file: File) => {
    setTrouble(undefined);
    setOpened(undefined);
    if (/\.pdf$/i.test(file.name))
      return setTrouble('A PDF is not read: ask who drew it for DXF, or take the room off with the quick line.');
    if (file.size > MOST_DXF_BYTES)
      return setTrouble(`${file.name} is larger than 32 MB: keep the layer with the rooms only.`);
    setReading(file.name);
    try {
      const asked = worker.ask();
      const read = await asked.open(await file.text());
      if (!worker.isAsked(asked)) return;
      setReading(undefined);
      if (!read.ok) return setTrouble(`${file.name} ${read.reason}.`);
      const [first] = read.layers;
      if (!first) return setTrouble(`${file.name} holds no outline.`);
      await look({
        name: file.name,
        layers: read.layers,
        choice: { ...usual, layer: first.name, unit: read.unit ?? usual.unit },
      });
    } catch {
      failed();
    }
  };
  const choose = (part: Partial<DrawingChoice>) => {
    if (!opened) return;
    const { found: _old, ...of } = opened;
    look({ ...of, choice: { ...of.choice, ...part } }).catch(failed);
  };
  return { opened, trouble, reading, open: (file: File) => void open(file), choose };
}
