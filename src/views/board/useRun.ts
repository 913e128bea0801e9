import { TZDate } from '@date-fns/tz';
import { useState } from 'react';

/** What an entry says of who ran it and when. */
interface RunSaid {
  readonly ranBy?: string[];
  readonly begun?: string;
  readonly ended?: string;
}
type RunResult =
  | { readonly ok: true; readonly run: RunSaid; readonly at: number }
  | { readonly ok: false; readonly reason: string };

/** Who ran a coat, with whom, and from when to when: by oneself and at no time in particular, unless somebody says so. */
export function useRun(me: string, crew: readonly { readonly id: string }[], timeZone: string) {
  const [who, setWho] = useState(crew.some(({ id }) => id === me) ? me : (crew[0]?.id ?? ''));
  const [partner, setPartner] = useState('');
  const [begun, setBegun] = useState('');
  const [ended, setEnded] = useState('');

  /**
   * What was said, to be logged as done at `at`, or when it was ended; times are of the day of `now`.
   *
   * @param now ms since 1970
   */
  function read(now: number, at: number): RunResult {
    const day = new TZDate(now, timeZone);
    const instantOf = (time: string): number | undefined => {
      const [hour, minute] = time.split(':').map(Number);
      return time === '' || hour === undefined || minute === undefined
        ? undefined
        : new TZDate(day.getFullYear(), day.getMonth(), day.getDate(), hour, minute, timeZone).getTime();
    };
    const [from, to] = [instantOf(begun), instantOf(ended)];
    if ((from ?? 0) > now || (to ?? 0) > now) return { ok: false, reason: 'Begun and ended lie in the past.' };
    if (from !== undefined && from > (to ?? at)) return { ok: false, reason: 'End must be after start.' };
    const people = [who, ...(partner === '' || partner === who ? [] : [partner])];
    return {
      ok: true,
      at: to ?? at,
      run: {
        ...(people.length > 1 || who !== me ? { ranBy: people } : {}),
        ...(from === undefined ? {} : { begun: new Date(from).toISOString() }),
        ...(to === undefined ? {} : { ended: new Date(to).toISOString() }),
      },
    };
  }
  return { who, setWho, partner, setPartner, begun, setBegun, ended, setEnded, read };
}
