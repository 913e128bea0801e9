import { useEffect, useState } from 'react';

const NAMES = [
  '--color-primary',
  '--color-secondary',
  '--color-success',
  '--color-error',
  '--color-base-content',
  '--muted',
  '--color-base-300',
  '--clay',
] as const;

/** The colours of the theme as a chart needs them. */
export interface Tones {
  readonly lines: readonly string[];
  readonly muted: string;
  readonly grid: string;
  readonly clay: string;
}

/** The theme's colours, also after day and night were changed; undefined before the page is there. */
export function useTones(): Tones | undefined {
  const [tones, setTones] = useState<Tones>();
  useEffect(() => {
    const read = () => {
      const style = getComputedStyle(document.documentElement);
      const all = NAMES.map((name) => style.getPropertyValue(name).trim());
      setTones({ lines: all.slice(0, 5), muted: all[5] ?? '', grid: all[6] ?? '', clay: all[7] ?? '' });
    };
    read();
    const watch = new MutationObserver(read);
    watch.observe(document.documentElement, { attributeFilter: ['data-theme'] });
    return () => watch.disconnect();
  }, []);
  return tones;
}
