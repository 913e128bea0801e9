import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { SERVER_LOST, sendCommand } from '@/client/sendCommand';
import { MOST_READINGS } from '@/contract/limits';
import type { useAirFile } from './useAirFile';

/** What is said below a file. */
export interface Told {
  readonly ok: boolean;
  readonly words: string;
}

/**
 * Takes an opened file of readings in, part by part, and says how far it is. Stopped or cut off in the middle it may be
 * taken again: what is known is taken once.
 */
export function useTaking(houseId: string, file: ReturnType<typeof useAirFile>) {
  const router = useRouter();
  const [taken, setTaken] = useState<number>();
  const [told, setTold] = useState<Told>();
  const stopped = useRef(false);

  async function take(room: string | null): Promise<void> {
    const look = file.opened?.look;
    if (!look) return;
    stopped.current = false;
    setTold(undefined);
    const sums = { recorded: 0, known: look.repeated, refused: look.refused };
    let from = 0;
    const inPart = () => (from === 0 ? '' : ` ${words(from)} of ${words(look.readings)} readings are in.`);
    try {
      for (; from < look.readings && !stopped.current; from += MOST_READINGS) {
        setTaken(from);
        const readings = await file.part(from, MOST_READINGS);
        const answer = await sendCommand('importAir', { house: houseId, room, readings });
        if (!answer.ok) return setTold({ ok: false, words: answer.message + inPart() });
        sums.recorded += answer.value.recorded;
        sums.known += answer.value.known;
        sums.refused += answer.value.refused;
      }
      if (from < look.readings) return setTold({ ok: true, words: `Stopped.${inPart()} Take it again to go on.` });
      const { recorded, known, refused } = sums;
      setTold({
        ok: true,
        words: `${words(recorded)} readings taken, ${words(known)} known before, ${words(refused)} left out.`,
      });
      file.close();
    } catch {
      setTold({ ok: false, words: SERVER_LOST + inPart() });
    } finally {
      setTaken(undefined);
      if (from > 0) router.refresh();
    }
  }

  return {
    /** How many readings are in while a file is taken; undefined when none is. */
    taken,
    told,
    take,
    stop: () => {
      stopped.current = true;
    },
    forget: () => setTold(undefined),
  };
}

const words = (count: number): string => count.toLocaleString('en-US');
