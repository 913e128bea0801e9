import { ATTACKS, type Target } from './attacks';

/** Attacks from a process of its own: what it takes to send is not measured as what others wait. It ends when it is told anything more. */
process.once('message', async ({ target, name }: { readonly target: Target; readonly name: string }) => {
  let goesOn = true;
  process.once('message', () => {
    goesOn = false;
  });
  let sent = 0;
  for (; goesOn; sent += 1) await ATTACKS[name]?.(target);
  process.send?.(sent);
  process.disconnect();
});
