'use client';

import { useEffect, useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import { readStored, useStored, writeStored } from '@/client/useStored';
import type { Draft } from './useDraft';

/** What was typed and the server never had: a line; of new rooms maybe several, each on a line of its own. */
export interface KeptDraft {
  readonly line: string;
  /** The version of the room that it was typed over. */
  readonly version: number;
}

/**
 * Keeps on this device what was typed of a room until the server has it: a reload, a closed browser or a lost server loses
 * nothing.
 *
 * @param me whose it is
 * @param room its id; undefined for a new one
 * @param version that is edited
 * @param waiting the lines of new rooms that are not saved, besides the draft's
 * @returns what was left behind when the page was opened last, until it is restored (`leave`) or discarded (`forget`)
 */
export function useKeptDraft(
  me: string,
  room: string | undefined,
  version: number,
  draft: Draft,
  waiting: readonly string[],
) {
  const { id: house } = useHouse();
  const [stored, keep] = useStored(draftKey(me, house, room));
  const [left, setLeft] = useState<KeptDraft>();
  const [isOwn, setOwn] = useState(false);
  const all = [...waiting, ...(draft.line === draft.known ? [] : [draft.line])].join('\n');
  const isUsed = isOwn || draft.touched || waiting.length > 0;
  useEffect(() => {
    if (isUsed) setOwn(true);
  }, [isUsed]);
  // It stays on offer while somebody types something else.
  useEffect(() => {
    const kept = stored === null ? undefined : draftIn(stored);
    if (kept && !isUsed && kept.line !== draft.line) setLeft(kept);
  }, [stored, isUsed, draft.line]);
  // What was typed takes the place of what was left behind, and what the server has needs no place.
  useEffect(() => {
    if (isUsed) keep(all === '' ? undefined : JSON.stringify({ line: all, version }));
  }, [isUsed, all, version, keep]);
  const forget = () => {
    keep(undefined);
    setLeft(undefined);
  };
  return { left, leave: () => setLeft(undefined), forget };
}

const draftKey = (me: string, house: string, room: string | undefined): string =>
  `oak-draft ${me} ${house} ${room ?? 'new'}`;

/** Forgets lines of new rooms that were saved, also after their page was left. */
export function forgetLines(me: string, house: string, lines: readonly string[]): void {
  const key = draftKey(me, house, undefined);
  const kept = draftIn(readStored(key) ?? '');
  if (!kept) return;
  const left = lines.reduce((all, line) => {
    const at = all.indexOf(line);
    return at < 0 ? all : all.toSpliced(at, 1);
  }, kept.line.split('\n'));
  writeStored(key, left.length > 0 ? JSON.stringify({ ...kept, line: left.join('\n') }) : undefined);
}

function draftIn(text: string): KeptDraft | undefined {
  try {
    const { line, version }: Partial<KeptDraft> = JSON.parse(text);
    return typeof line === 'string' && typeof version === 'number' ? { line, version } : undefined;
  } catch {
    return undefined;
  }
}
