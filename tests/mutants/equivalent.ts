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
  {
    file: 'causeOf.ts',
    from: 'waited < asked',
    to: '(waited) <= (asked)',
    why: 'the hours asked for are no whole number of milliseconds',
  },
  {
    file: 'handOver.ts',
    from: 'index < steps.length',
    to: '(index) <= (steps.length)',
    why: 'beyond the last step there is none, and the loop ends',
  },
  {
    file: 'handOver.ts',
    from: 'step.from >= until',
    to: '(step.from) > (until)',
    why: 'a step that begins at the end lasts no time',
  },
  {
    file: 'stretchNow.ts',
    from: 'side?.coats.entries() ?? []',
    to: 'side?.coats.entries()',
    why: 'every number of another side is that of a stretch',
  },
  {
    file: 'stretchNow.ts',
    from: 'under?.coats.entries() ?? []',
    to: 'under?.coats.entries()',
    why: 'every number of what lies across is that of a stretch',
  },
  {
    file: 'stretchNow.ts',
    from: 'own.findIndex(({ id }) => id === on.coat.id) >= place',
    to: '(own.findIndex(({ id }) => id === on.coat.id)) > (place)',
    why: 'the other side of a joint gets no coat of the same name',
  },
  {
    file: 'stretchNow.ts',
    from: 'stretchClock(side, at, room)?.recoatAt ?? now',
    to: 'stretchClock(side, at, room)?.recoatAt',
    why: 'nothing is later than what is not known',
  },
  {
    file: 'stretchNow.ts',
    from: '(under && stretchClock(under, at, room)?.firmAt) ?? now',
    to: '(under && stretchClock(under, at, room)?.firmAt)',
    why: 'nothing is later than what is not known',
  },
  {
    file: 'stretchClock.ts',
    from: '!touched',
    to: 'false',
    why: 'it is asked only of what was touched',
  },
  {
    file: 'stretchClock.ts',
    from: 'stretch.touched && last',
    to: '(stretch.touched) || (last)',
    why: 'there is a last entry, and what was not touched goes by its clock',
  },
  {
    file: 'stretchClock.ts',
    from: "coats[place]?.applications.at(-1)?.at ?? ''",
    to: 'coats[place]?.applications.at(-1)?.at',
    why: 'what has no entry counts as the beginning of time',
  },
  {
    file: 'coatClock.ts',
    from: 'payload.thickness ?? planned?.thickness ?? 0',
    to: 'payload.thickness ?? planned?.thickness',
    why: 'where an entry does not say it, it is planned',
  },
  {
    file: 'coatClock.ts',
    from: "payload.substrate ?? planned?.substrate ?? 'board'",
    to: 'payload.substrate ?? planned?.substrate',
    why: 'where an entry does not say it, it is planned',
  },
  {
    file: 'mending.ts',
    from: 'room.applied.coats.get(coat.id)?.share ?? 0',
    to: 'room.applied.coats.get(coat.id)?.share',
    why: 'nothing is not the whole either',
  },
  {
    file: 'whatNow.ts',
    from: 'readyAt ?? 0',
    to: 'readyAt',
    why: 'nothing is not later than now either',
  },
  {
    file: 'whatNow.ts',
    from: 'wet.at(-1)?.until ?? wet[0].until',
    to: 'wet.at(-1)?.until',
    why: 'there is a last one where there is a first',
  },
  {
    file: 'whatNow.ts',
    from: 'all + stretch.amount',
    to: '(all) - (stretch.amount)',
    why: 'of a part both sums change their sign',
  },
  {
    file: 'whatNow.ts',
    from: "nows.every(({ kind }) => kind === 'dry' || kind === 'sanded')",
    to: "nows.some(({ kind }) => kind === 'dry' || kind === 'sanded')",
    why: 'what is checked has every coat on',
  },
  {
    file: 'sandable.ts',
    from: 'coats.filter((coat) => coat.class === stretch.class)',
    to: 'coats',
    why: 'coats of other classes do not change the order of its own',
  },
  {
    file: 'sandable.ts',
    from: 'all > 0',
    to: '(all) >= (0)',
    why: 'a class of which there is nothing is not listed',
  },
  {
    file: 'signOff.ts',
    from: 'coats.filter((coat) => coat.class === stretch.class)',
    to: 'coats',
    why: 'coats of other classes do not change the order of its own',
  },
  {
    file: 'signOff.ts',
    from: 'LEVELS.find((own) => own === highest)',
    to: 'LEVELS.findLast((own) => own === highest)',
    why: 'a level is listed once',
  },
  {
    file: 'signOff.ts',
    from: 'LEVELS.find((own) => own === highest) ?? room.level',
    to: 'LEVELS.find((own) => own === highest)',
    why: 'every level is listed',
  },
];
