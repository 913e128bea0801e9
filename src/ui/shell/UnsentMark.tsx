'use client';

import { lazy, Suspense, useEffect, useState } from 'react';
import { answerUnsent, dropUnsent, sendNow, startOutbox } from '@/client/outbox/theOutbox';
import { useOutbox } from '@/client/outbox/useOutbox';
import { Opening } from '../Opening';

// What is opened by a press comes when it is.
const UnsentDialog = lazy(async () => ({ default: (await import('./UnsentDialog')).UnsentDialog }));

/**
 * How much of what was said on this device the server does not have yet; it sends it. Pressed, it shows what, and what was
 * refused.
 *
 * @param who the person who is signed in
 */
export function UnsentMark({ who }: { readonly who: string }) {
  const { groups, end } = useOutbox();
  const [open, setOpen] = useState(false);
  useEffect(() => startOutbox(who), [who]);
  const own = groups.filter((group) => group.who === who);
  const refused = own.filter((group) => group.refused !== undefined).length;
  const others = groups.length - own.length;
  if (groups.length === 0) return null;
  const words = [
    own.length > refused ? `${own.length - refused} unsent` : '',
    refused > 0 ? `${refused} refused` : '',
    own.length === 0 ? `${others} unsent by someone else` : '',
  ].filter(Boolean);
  return (
    <>
      <span role="status">
        <button
          type="button"
          className={`btn btn-sm rounded-full ${refused > 0 ? 'btn-error' : 'btn-warning'}`}
          onClick={() => setOpen(true)}
        >
          <span aria-hidden="true">{refused > 0 ? '✕' : '▲'}</span> {words.join(', ')}
        </button>
      </span>
      {open && (
        <Suspense fallback={<Opening />}>
          <UnsentDialog
            groups={own}
            others={others}
            note={
              end === 'signedOut'
                ? 'You are signed out: sign in, and it is sent.'
                : 'It is kept on this device, over a closed browser too, and sent by itself when the server answers.'
            }
            sendNow={() => void sendNow()}
            drop={(id) => void dropUnsent(id)}
            answer={async (group, given) => {
              await answerUnsent(group, given);
              return true;
            }}
            close={() => setOpen(false)}
          />
        </Suspense>
      )}
    </>
  );
}
