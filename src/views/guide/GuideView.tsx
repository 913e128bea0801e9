'use client';

import { useEffect, useState } from 'react';
import { type GlyphLayer, SectionGlyph } from '@/ui/section/SectionGlyph';
import { ShowThrough } from '@/ui/section/ShowThrough';
import { TextField } from '@/ui/TextField';
import { plural } from '@/words/plural';
import type { GuideCard } from './guideCard';
import { cardsWith } from './guideCards';

/** The field guide: a card for each class with its coats drawn one by one, and for what is around the work. */
export function GuideView({ cards }: { readonly cards: readonly GuideCard[] }) {
  const [looked, setLooked] = useState('');
  const [large, setLarge] = useState(false);
  const [asked, setAsked] = useState('');
  const found = cardsWith(cards, looked);
  const isNarrow = looked.trim() !== '' && found.length <= MOST_OPEN;
  useEffect(() => {
    const look = () => setAsked(decodeURIComponent(window.location.hash.slice(1)));
    look();
    window.addEventListener('hashchange', look);
    return () => window.removeEventListener('hashchange', look);
  }, []);
  // What was asked for is opened first; then it has a place to go to.
  useEffect(() => {
    if (asked !== '') document.getElementById(asked)?.scrollIntoView({ block: 'start' });
  }, [asked]);
  return (
    <main className={`gloves mx-auto w-full max-w-4xl flex-1 space-y-4 p-4 ${large ? 'text-xl' : ''}`}>
      <header className="space-y-3">
        <div>
          <h1>Field guide</h1>
          <p className="text-muted">
            For the method that the lead chose in Coats. Common practice: product instructions, local codes and licensed
            practice come first.
          </p>
        </div>
        <div className="flex flex-wrap items-end gap-3 print:hidden">
          <TextField
            label="Search"
            type="search"
            className="min-w-40 flex-1"
            placeholder="bubble, box, bead …"
            value={looked}
            onChange={(event) => setLooked(event.target.value)}
          />
          <button type="button" className="btn btn-lg" aria-pressed={large} onClick={() => setLarge(!large)}>
            {large ? 'Smaller' : 'Larger'} letters
          </button>
        </div>
        <p role="status" className="text-sm text-muted">
          {looked.trim() === '' ? '' : found.length === 0 ? 'No card says that.' : plural(found.length, 'card')}
        </p>
      </header>
      {found.map((card) => (
        <Card key={card.id} card={card} isOpen={isNarrow || holds(card, asked)} />
      ))}
    </main>
  );
}

/** So many cards that were found are shown open. */
const MOST_OPEN = 3;

/** Whether a link asks for a card, or for one of its steps. */
const holds = ({ id, steps }: GuideCard, asked: string): boolean =>
  asked !== '' && (id === asked || steps.some((step) => step.id === asked));

function Card({
  card: { id, title, kind, what, steps },
  isOpen,
}: {
  readonly card: GuideCard;
  readonly isOpen: boolean;
}) {
  return (
    <details id={id} className="sheet scroll-mt-4" open={isOpen}>
      <summary className="flex min-h-14 cursor-pointer items-center gap-4 px-4 py-2 sm:px-5">
        {kind && <SectionGlyph kind={kind} layers={allLayers(steps)} className="h-11 w-24" />}
        <h2 className="text-xl">{title}</h2>
      </summary>
      <div className="space-y-3 px-4 pb-4 sm:px-5">
        {what.map((words) => (
          <p key={words}>{words}</p>
        ))}
        {id === 'sealing' && <ShowThrough className="max-w-xl" />}
        {steps.length > 0 && (
          <ol className="divide-y divide-base-300">
            {steps.map((step, index) => (
              <li key={index} id={step.id} className="grid gap-x-4 gap-y-2 py-3 sm:grid-cols-[12rem_1fr]">
                {kind && step.layers.length > 0 ? (
                  <SectionGlyph kind={kind} layers={step.layers} className="h-22 w-48" />
                ) : (
                  <span aria-hidden="true" className="hidden sm:block" />
                )}
                <div className="space-y-1">
                  <h3 className="font-bold">
                    {index + 1}. {step.name}
                  </h3>
                  {step.lines.map((words) => (
                    <p key={words}>{words}</p>
                  ))}
                  {step.mistakes.length > 0 && (
                    <ul className="list-disc space-y-1 pl-5 text-[0.9em]">
                      {step.mistakes.map((mistake) => (
                        <li key={mistake.name}>
                          <b>{mistake.name}</b>: {mistake.words}
                        </li>
                      ))}
                    </ul>
                  )}
                </div>
              </li>
            ))}
          </ol>
        )}
      </div>
    </details>
  );
}

/** The joint as it is when the last coat is on. */
const allLayers = (steps: GuideCard['steps']): readonly GlyphLayer[] =>
  steps.findLast(({ layers }) => layers.length > 0)?.layers.map((layer) => ({ ...layer, phase: 'dry' })) ?? [];
