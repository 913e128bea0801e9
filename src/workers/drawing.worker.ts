import { expose } from 'comlink';
import { type Drawing, readDxf } from '../core/dxf/readDxf';
import { layersOf, roomsIn } from '../core/dxf/roomsIn';

let drawing: Drawing | undefined;

/** A drawing, away from the page: one of thirty megabytes takes its time. The one that was opened last is looked at. */
const drawings = {
  /** Its layers and the unit that it says it is in; or why it cannot be read. */
  open(text: string) {
    const read = readDxf(text);
    drawing = read.ok ? read.drawing : undefined;
    return read.ok
      ? { ok: true as const, layers: layersOf(read.drawing), unit: read.drawing.unit }
      : { ok: false as const, reason: read.reason };
  },
  rooms: (...asked: Parameters<typeof roomsIn> extends [Drawing, ...infer Rest] ? Rest : never) =>
    drawing && roomsIn(drawing, ...asked),
};
export type DrawingWorker = typeof drawings;

expose(drawings);
