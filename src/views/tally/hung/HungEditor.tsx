'use client';

import { useDeferredValue, useMemo, useState } from 'react';
import { hungDifference } from '@/core/estimate/hungDifference';
import {
  addButt,
  addSeam,
  BUTT_ENDS,
  boardsAsFound,
  cutEdgeOf,
  type FoundEdit,
  flipCourse,
  foundOf,
  framingOn,
  isSameFound,
  moveButt,
  moveSeam,
  removeButt,
  removeSeam,
  setButt,
  snapped,
  turnRun,
} from '@/core/hang/foundEdits';
import type { HungFace } from '@/core/hang/hangRoom';
import type { HouseHead } from '@/core/house/schema';
import { takeOff } from '@/core/joints/takeOff';
import { boxOf } from '@/core/measure/polygon';
import { type FoundFace, type HangPlan, resolveHang } from '@/core/room/resolveHang';
import type { HungCourses, QuickRoom } from '@/core/room/schema';
import { Dialog } from '@/ui/Dialog';
import { DialogEnd } from '@/ui/DialogEnd';
import { SelectField } from '@/ui/SelectField';
import { faceWords } from '@/words/faceWords';
import { lengthWords } from '@/words/lengthWords';
import { DifferenceTable } from './DifferenceTable';
import { foundInFile } from './foundInFile';
import { HungDrawing } from './HungDrawing';
import { ENDS_WORDS, type Handle, handleName, handlesOf, isSameHandle } from './handles';
import { PlaceField } from './PlaceField';
import { freeMember, seamStep, widestCourse } from './steps';
import { useHungEdits } from './useHungEdits';

interface HungEditorProps {
  readonly house: HouseHead;
  readonly room: QuickRoom;
  /** Of the face. */
  readonly face: string;
  readonly onKeep: (hung: HungCourses | undefined) => void;
  readonly close: () => void;
}

/** How the boards of a face really hang, beside the plan: butts and seams are moved, and what that costs is told at once. */
export function HungEditor(props: HungEditorProps) {
  const { house, room, face } = props;
  const ground = useMemo(() => {
    const { [face]: _own, ...others } = room.hung ?? {};
    const planned = takeOff({ ...room, id: 'draft', hung: others }, house);
    const hung = planned.faces.find((own) => own.face.id === face);
    return hung && { planned: planned.tally, hung, plan: resolveHang(house, room) };
  }, [room, house, face]);
  if (!ground) return null;
  const { hung, plan } = ground;
  const start = plan.found[face] ?? foundOf(hung) ?? laidAcross(hung, plan);
  const words = faceWords(hung.face.place);
  if (!start)
    return (
      <Dialog title={`${words} as hung`} close={props.close}>
        <p>No boards on this face can be changed.</p>
        <button type="button" className="btn" onClick={props.close}>
          Close
        </button>
      </Dialog>
    );
  return <Editor {...props} {...ground} start={start} words={words} />;
}

const laidAcross = ({ face }: HungFace, plan: HangPlan): FoundFace | undefined => {
  const edit = face.existing ? undefined : turnRun(face, 'across', plan);
  return edit?.ok ? edit.found : undefined;
};

function Editor({
  house,
  room,
  face: id,
  onKeep,
  close,
  planned,
  hung: { face, boards },
  plan,
  start,
  words,
}: HungEditorProps & {
  readonly planned: ReturnType<typeof takeOff>['tally'];
  readonly hung: HungFace;
  readonly plan: HangPlan;
  readonly start: FoundFace;
  readonly words: string;
}) {
  const { unit } = house;
  const edits = useHungEdits(start);
  const [held, setHeld] = useState<FoundFace>();
  const [selected, setSelected] = useState<Handle>();
  const found = held ?? edits.found;
  const shown = boardsAsFound(face, found, plan);
  const members = framingOn(face, found.run, plan.framing);
  const asPlanned = foundOf({ face, boards });
  const later = useDeferredValue(found);
  const difference = useMemo(() => {
    const now = takeOff({ ...room, id: 'draft', hung: { ...room.hung, [id]: foundInFile(later, unit) } }, house);
    return hungDifference(house, { ...room, id: 'draft' }, planned, now.tally);
  }, [room, house, id, later, planned, unit]);
  const own = selected && handlesOf(found, shown).find((handle) => isSameHandle(handle, selected));

  const rips = ripsAt(own).flatMap((course) => {
    const cut = cutEdgeOf(face, found, course, plan);
    return cut ? [{ course, cut }] : [];
  });

  const box = boxOf(face.loops);
  const moved = (handle: Handle, to: number): FoundEdit =>
    handle.kind === 'butt'
      ? moveButt(face, edits.found, handle, to)
      : moveSeam(edits.found, handle.course, to - (edits.found.run === 'across' ? box.v0 : box.u0), plan);
  const select = (handle: Handle, to: number) => setSelected({ ...handle, at: to });
  const place = (handle: Handle, to: number) => {
    if (edits.edit(moved(handle, to))) select(handle, to);
  };
  const drag = (handle: Handle, raw: number, isLast: boolean) => {
    const to = handle.kind === 'butt' ? snapped(raw, members) : Math.round(raw / seamStep(unit)) * seamStep(unit);
    const change = moved(handle, to);
    if (isLast) {
      setHeld(undefined);
      place(handle, to);
    } else if (change.ok) {
      setHeld(change.found);
      select(handle, to);
    }
  };
  const step = (handle: Handle, by: -1 | 1, isSmall: boolean) => {
    if (handle.kind === 'seam' || isSmall)
      return place(handle, handle.at + by * (isSmall ? seamStep(unit) / 8 : seamStep(unit)));
    const next = by > 0 ? members.find((at) => at > handle.at + 1) : members.findLast((at) => at < handle.at - 1);
    if (next !== undefined) place(handle, next);
  };
  const remove = (handle: Handle) => {
    const change =
      handle.kind === 'butt' ? removeButt(edits.found, handle) : removeSeam(edits.found, handle.course, plan);
    if (edits.edit(change)) setSelected(undefined);
  };
  const addOne = () => {
    const course = own?.course ?? 0;
    const at = freeMember(edits.found, course, members);
    if (edits.edit(addButt(face, edits.found, { course, at })))
      setSelected({ kind: 'butt', course, at, most: 0, from: 0, to: 0, ends: 'plain' });
  };
  const addAcross = () => {
    const course = own?.course ?? widestCourse(edits.found);
    const before = edits.found.courses.slice(0, course).reduce((sum, { breadth }) => sum + breadth, 0);
    edits.edit(addSeam(edits.found, before + (edits.found.courses[course]?.breadth ?? 0) / 2));
  };
  const keep = () => {
    onKeep(isSameFound(edits.found, asPlanned) ? undefined : foundInFile(edits.found, unit));
    close();
  };
  return (
    <Dialog
      title={`${words} as hung`}
      close={close}
      className="flex max-h-[94dvh] w-[min(96vw,76rem)] max-w-none flex-col gap-3"
    >
      <div className="flex flex-wrap gap-2">
        <Press words="Undo" press={edits.undo} />
        <Press words="Redo" press={edits.redo} />
        <fieldset className="join" aria-label="Boards run">
          {(['across', 'upright'] as const).map((run) => (
            <button
              key={run}
              type="button"
              className={`btn join-item ${found.run === run ? 'btn-active' : ''}`}
              aria-pressed={found.run === run}
              onClick={() => found.run !== run && edits.edit(turnRun(face, run, plan)) && setSelected(undefined)}
            >
              {run === 'across' ? 'Across' : 'Upright'}
            </button>
          ))}
        </fieldset>
        <Press words="Add butt" press={addOne} />
        <Press words="Add seam" press={addAcross} />
        <Press
          words="As planned"
          press={
            asPlanned && !isSameFound(edits.found, asPlanned)
              ? () => edits.edit({ ok: true, found: asPlanned })
              : undefined
          }
        />
      </div>
      <HungDrawing
        hung={shown}
        found={found}
        unit={unit}
        words={words}
        selected={own}
        onSelect={setSelected}
        onDrag={drag}
        onStep={step}
        onRemove={remove}
      />
      <div className="grid gap-4 md:grid-cols-2">
        <section aria-label="Selected joint" className="space-y-2">
          {own ? (
            <>
              <h3 className="font-semibold">
                {handleName(own, found)}, {lengthWords(own.at, unit)}
              </h3>
              <div className="flex flex-wrap items-end gap-3">
                <PlaceField
                  key={`${handleName(own, found)} ${Math.round(own.at * 100)}`}
                  label={(own.kind === 'butt') === (found.run === 'across') ? 'From the left' : 'From the top'}
                  at={own.at}
                  unit={unit}
                  onPlace={(to) => place(own, to)}
                />
                {own.kind === 'butt' && (
                  <SelectField
                    label="Its ends"
                    // In a house in which every butt is hung over a backer there is nothing to say.
                    disabled={plan.backed}
                    value={plan.backed ? 'backed' : own.ends}
                    onChange={({ target }) => {
                      const ends = BUTT_ENDS.find((one) => one === target.value);
                      if (ends) edits.edit(setButt(edits.found, own, ends));
                    }}
                    options={BUTT_ENDS.map((ends) => [ends, ENDS_WORDS[ends]] as const)}
                  />
                )}
                {rips.map(({ course, cut }) => (
                  <SelectField
                    key={course}
                    label={`Course ${course + 1} is cut at its`}
                    value={cut}
                    onChange={({ target }) => target.value !== cut && edits.edit(flipCourse(edits.found, course))}
                    options={CUT_WORDS[found.run]}
                  />
                ))}
                <button type="button" className="btn" onClick={() => remove(own)}>
                  Remove
                </button>
              </div>
            </>
          ) : (
            <p className="text-muted">
              Drag a butt to where it hangs; it snaps to the framing. A seam moves by the inch. Arrow keys work too,
              with Shift in small steps.
            </p>
          )}
          <p role="status" className="min-h-6 text-error">
            {edits.reason ?? ''}
          </p>
        </section>
        <DifferenceTable difference={difference} unit={unit} />
      </div>
      <DialogEnd words="Use this layout" go={keep} close={close} />
    </Dialog>
  );
}

/** The courses whose edges meet where somebody has taken hold. */
const ripsAt = (handle: Handle | undefined): readonly number[] =>
  handle?.kind === 'seam' ? [handle.course, handle.course + 1] : handle ? [handle.course] : [];

/** The sides of a course at which it may be cut. */
const CUT_WORDS = {
  across: [
    ['first', 'top edge'],
    ['last', 'bottom edge'],
  ],
  upright: [
    ['first', 'left edge'],
    ['last', 'right edge'],
  ],
} as const;

function Press({ words, press }: { readonly words: string; readonly press: (() => void) | undefined }) {
  return (
    <button type="button" className="btn" disabled={!press} onClick={press}>
      {words}
    </button>
  );
}
