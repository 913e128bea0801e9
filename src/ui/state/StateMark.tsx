import type { StateWords } from './words';

const TONES = { go: 'text-success', wet: 'text-warning', stuck: 'text-error', quiet: 'text-base-content' } as const;

/** A state: moss dot to go, clay square wet, brick diamond stuck, and always the words. */
export function StateMark({ words, className = '' }: { readonly words: StateWords; readonly className?: string }) {
  return (
    <span className={`inline-flex items-start gap-2 leading-tight ${className}`}>
      <Shape mark={words.mark} />
      <span>
        <span className={`font-semibold ${TONES[words.mark]}`}>{words.title}</span>
        {words.detail && <span className="block text-sm text-muted">{words.detail}</span>}
      </span>
    </span>
  );
}

/** The shape alone, for legends and dense lists. */
export function Shape({ mark }: { readonly mark: StateWords['mark'] }) {
  if (mark === 'quiet') return null;
  const look = { go: 'rounded-full bg-moss', wet: 'rounded-xs bg-clay', stuck: 'rotate-45 bg-error' }[mark];
  return <span aria-hidden="true" className={`mt-[0.35em] inline-block size-2.5 shrink-0 ${look}`} />;
}
