'use client';

import { useState } from 'react';
import type { HouseHead } from '@/core/house/schema';
import { takeOff } from '@/core/joints/takeOff';
import { effortOf } from '@/core/room/checks/effortOf';
import type { Room } from '@/core/room/schema';
import type { SheetWords } from '@/ui/room/sheetSvg';

/** Rooms laid flat as a drawing, with a layer for each class of joint; made when it is asked for. */
export function AsDrawing({
  house,
  rooms,
  name,
  words,
  className = 'btn btn-sm',
}: {
  readonly house: HouseHead;
  readonly rooms: readonly Room[];
  /** Of the file. */
  readonly name: string;
  readonly words: string;
  readonly className?: string;
}) {
  const [state, setState] = useState<'ready' | 'busy' | 'failed'>('ready');
  const make = async () => {
    setState('busy');
    try {
      const [{ dxfOf }, { unrollRoom }] = await Promise.all([import('@/ui/room/dxfOf'), import('@/ui/room/unroll')]);
      const laid: { readonly name: string; readonly laid: ReturnType<typeof unrollRoom> }[] = [];
      for (const room of rooms) {
        if (effortOf(room, house) === undefined) continue;
        laid.push({ name: room.name, laid: unrollRoom(takeOff(room, house)) });
        // A house of many rooms leaves the page alive.
        await new Promise((resolve) => setTimeout(resolve));
      }
      save(dxfOf(laid, house.unit), `${name}.dxf`, 'application/dxf');
      setState('ready');
    } catch {
      setState('failed');
    }
  };
  return (
    <>
      <button
        type="button"
        className={className}
        disabled={state === 'busy' || rooms.length === 0}
        onClick={() => void make()}
      >
        {words}
      </button>
      {state === 'failed' && (
        <span role="alert" className="text-error">
          Can’t make the file. Reload the page.
        </span>
      )}
    </>
  );
}

/** The room's sheet with the picture that is on the page, as a file that any browser shows alike. */
export function AsSheet({
  name,
  of,
  words,
}: {
  readonly name: string;
  readonly of: () => SVGSVGElement | null;
  readonly words: () => SheetWords;
}) {
  const make = async () => {
    const svg = of();
    if (!svg) return;
    const { sheetSvg } = await import('@/ui/room/sheetSvg');
    save(sheetSvg(svg, words()), `${name}.svg`, 'image/svg+xml');
  };
  return (
    <button type="button" className="btn" onClick={() => void make()}>
      SVG
    </button>
  );
}

function save(text: string, name: string, type: string): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The browser has begun to read it by then.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
