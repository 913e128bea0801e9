'use client';

import { useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import { useCommand } from '@/client/useCommand';
import type { HouseHead } from '@/core/house/schema';
import { hangText, readHangText } from '@/core/quickline/hangText';
import { TextField } from '@/ui/TextField';

/** How every room is hung unless it says otherwise, in the words of the quick line. */
export function HouseHang({ version, house }: { readonly version: number; readonly house: HouseHead }) {
  const { id: houseId } = useHouse();
  const kept = hangText(house.hang, house.unit);
  const [text, setText] = useState(kept);
  const [opened, setOpened] = useState({ version, text: kept });
  // Somebody else changed the house: who has typed nothing sees it, who has typed saves over what they had opened.
  if (version !== opened.version && text === opened.text) {
    setOpened({ version, text: kept });
    setText(kept);
  }
  const { run, busy, message, setMessage } = useCommand();
  const [isKept, setKept] = useState(false);
  const reading = readHangText(text, house.unit);
  async function save(): Promise<void> {
    if (!reading.ok) return;
    const done = await run('saveHang', { house: houseId, version: opened.version, hang: reading.hang });
    if (done === undefined) return;
    setKept(true);
    setOpened({ ...opened, text });
  }
  return (
    <form
      className="flex flex-wrap items-end gap-2 print:hidden"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <TextField
        className="min-w-0 flex-1 basis-64"
        label="The whole house is hung"
        value={text}
        placeholder={
          house.unit === 'in'
            ? "boards 48x8'/10'/12', walls across, framing 16, aim joints"
            : 'boards 1200x2400/3000/3600, walls across, framing 600, aim joints'
        }
        error={reading.ok ? undefined : reading.reason}
        hint={
          message ??
          (isKept ? 'Saved.' : undefined) ??
          'walls, ceiling, boards, framing, screws, butts, aim; a room may say otherwise'
        }
        onChange={({ target }) => {
          setText(target.value);
          setMessage(undefined);
          setKept(false);
        }}
      />
      <button type="submit" className="btn mb-6" disabled={busy || !reading.ok}>
        {busy ? 'Saving …' : 'Save for the house'}
      </button>
    </form>
  );
}
