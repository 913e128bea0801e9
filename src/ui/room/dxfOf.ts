import { Colors, DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf';
import { JOINT_CLASSES, type JointClass } from '@/core/joints/joint';
import { fromMm, type LengthUnit } from '@/core/measure/unit';
import type { Point } from '@/core/measure/vector';
import { CLASS_NAMES } from '@/words/stateWords';
import type { UnrolledRoom } from './unroll';

/** A layer of its own for each joint class, and for what they lie on. */
export const layerOf = (kind: JointClass): string => `JOINT ${CLASS_NAMES[kind].toUpperCase()}`;
export const FACES_LAYER = 'FACES';
export const OPENINGS_LAYER = 'OPENINGS';
export const NAMES_LAYER = 'NAMES';

const COLOURS: Readonly<Record<JointClass, number>> = {
  flat: Colors.Blue,
  butt: Colors.Red,
  backedButt: Colors.Magenta,
  mixed: Colors.Cyan,
  angle: Colors.Yellow,
  offAngle: Colors.Yellow,
  bead: Colors.Green,
  trim: Colors.Green,
  existing: Colors.Red,
};
/** Rooms stand so far from each other, mm. */
const BETWEEN_MM = 1500;

/** Rooms laid flat side by side as DXF text, in the unit of their house: faces, openings, names, and a layer per joint class. */
export function dxfOf(
  rooms: readonly { readonly name: string; readonly laid: UnrolledRoom }[],
  unit: LengthUnit,
): string {
  const dxf = new DxfWriter();
  dxf.setUnits(unit === 'in' ? Units.Inches : Units.Millimeters);
  dxf.addLayer(FACES_LAYER, Colors.White);
  dxf.addLayer(OPENINGS_LAYER, Colors.White);
  dxf.addLayer(NAMES_LAYER, Colors.White);
  for (const kind of JOINT_CLASSES) dxf.addLayer(layerOf(kind), COLOURS[kind]);
  let left = 0;
  for (const { name, laid } of rooms) {
    const { box, text } = laid;
    const off = left - box.x;
    left += box.width + BETWEEN_MM;
    // On the page y goes down, in a drawing up.
    const at = ([x, y]: Point) => [fromMm(x + off, unit), fromMm(-y, unit)] as const;
    const outline = (points: readonly Point[], layerName: string) =>
      dxf.addLWPolyline(
        points.map((point) => ({ point: point2d(...at(point)) })),
        { flags: LWPolylineFlags.Closed, layerName },
      );
    const words = (value: string, point: Point, size: number) => {
      const [x, y] = at(point);
      dxf.addText(point3d(x, y), fromMm(size, unit), value, { layerName: NAMES_LAYER });
    };
    words(name, [box.x, box.y - text * 2], text * 1.4);
    for (const face of laid.faces) {
      for (const loop of face.loops) outline(loop, FACES_LAYER);
      for (const { loop } of face.holes) outline(loop, OPENINGS_LAYER);
      words(face.words, face.label, text * 0.8);
    }
    for (const line of laid.lines) {
      const [[x0, y0], [x1, y1]] = [at(line.from), at(line.to)];
      dxf.addLine(point3d(x0, y0), point3d(x1, y1), { layerName: layerOf(line.class) });
    }
  }
  return dxf.stringify();
}
