import type { StateWords } from '@/words/stateWords';

/** A state: moss dot to go, clay square wet, brick diamond stuck, and always the words. */
export function StateMark({ words, className }: { readonly words: StateWords; readonly className?: string }) {
  return (
    <span className={className ? `state ${className}` : 'state'}>
      {words.mark !== 'quiet' && <span aria-hidden="true" className={`shape-${words.mark}`} />}
      <span>
        <b className={`state-${words.mark}`}>{words.title}</b>
        {words.detail && <small>{words.detail}</small>}
      </span>
    </span>
  );
}
