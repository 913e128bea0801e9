/** Changes that no test can notice, since the program does the same with them, and why. */
export const EQUIVALENT: readonly {
  readonly file: string;
  readonly from: string;
  readonly to: string;
  readonly why: string;
}[] = [
  {
    file: 'stateOf.ts',
    from: 'said.nth > (last?.nth ?? -1)',
    to: '(said.nth) >= ((last?.nth ?? -1))',
    why: 'no two assignments of a room have the same number',
  },
  {
    file: 'stateOf.ts',
    from: 'signatures.length > 0',
    to: '(signatures.length) >= (0)',
    why: 'a room that nobody signed is copied, and stays as it is',
  },
  {
    file: 'houseLog.ts',
    from: 'seqAt(last) > seqAt(end)',
    to: '(seqAt(last)) >= (seqAt(end))',
    why: 'no two entries have the same number',
  },
  {
    file: 'houseLog.ts',
    from: 'room === HOUSE',
    to: 'false',
    why: 'what is said of no room folds to no room',
  },
  {
    file: 'houseLog.ts',
    from: 'list.length > 0',
    to: '(list.length) >= (0)',
    why: 'the end of an empty list has no entry and is passed over',
  },
  {
    file: 'liftEntry.ts',
    from: 'from < ENTRY_VERSION',
    to: '(from) <= (ENTRY_VERSION)',
    why: 'there is no lift from the present version',
  },
  {
    file: 'learn.ts',
    from: 'round < ROUNDS',
    to: '(round) <= (ROUNDS)',
    why: 'the middle has settled by then',
  },
  {
    file: 'learn.ts',
    from: 'Math.abs(far) < 1',
    to: '(Math.abs(far)) <= (1)',
    why: 'at 1 the weight is nought',
  },
  {
    file: 'mending.ts',
    from: 'wrong.length === 0',
    to: 'false',
    why: 'nothing wrong gives an empty set too',
  },
  {
    file: 'mending.ts',
    from: 'open.length === 0',
    to: 'false',
    why: 'nothing open gives an empty list too',
  },
  {
    file: 'mending.ts',
    from: 'due.length === 0',
    to: 'false',
    why: 'nothing due gives an empty list too',
  },
];
