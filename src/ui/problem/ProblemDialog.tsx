'use client';

import { useState } from 'react';
import { useHouse } from '@/client/HouseContext';
import type { UnsentPhoto } from '@/client/outbox/deviceStore';
import { type Said, useLog } from '@/client/useLog';
import { isAngle } from '@/core/joints/classTraits';
import { parseLength } from '@/core/measure/parseLength';
import { BEFORE_TAPE, DEFECTS, type DefectKind, defectsOn, isPrefilled } from '@/core/method/defects';
import { knifeCheck } from '@/core/section/knifeCheck';
import { toleranceFor } from '@/core/section/tolerance';
import { DEFECT_WORDS, MEND_WORDS } from '@/words/defectWords';
import { findingTitle, findingWords } from '@/words/knifeWords';
import { CLASS_NAMES } from '@/words/stateWords';
import { Dialog } from '../Dialog';
import { PhotoField } from '../photo/PhotoField';
import { PlaceChooser, type PlaceInRoom } from '../room/PlaceChooser';
import { KnifeDrawing } from '../section/KnifeDrawing';
import { KnifeFields } from '../section/KnifeFields';
import { useKnife } from '../section/useKnife';
import { TextField } from '../TextField';
import { minutesTyped } from './minutesTyped';

/** What is longer was typed wrong. */
const LONGEST_GAP_MM = 30_000;
const WIDEST_GAP_MM = 300;

/** What is wrong, where, with a photo, and what it took where it was mended at once. */
export function ProblemDialog({
  now,
  room,
  at,
  early,
  close,
}: {
  readonly now: number;
  readonly room: { readonly id: string; readonly name: string };
  /** Where it is, as far as that is known. */
  readonly at: PlaceInRoom | undefined;
  /** Before anything is on. */
  readonly early: boolean;
  readonly close: () => void;
}) {
  const log = useLog(now);
  const [place, setPlace] = useState(at);
  const [defect, setDefect] = useState<DefectKind>();
  const [text, setText] = useState('');
  const [forBuilder, setForBuilder] = useState(false);
  const [photos, setPhotos] = useState<readonly UnsentPhoto[]>([]);
  const [mended, setMended] = useState(false);
  const [minutes, setMinutes] = useState('');
  const { unit } = useHouse();
  const [long, setLong] = useState('');
  const [wide, setWide] = useState('');
  const [measured, setMeasured] = useState(false);
  const knife = useKnife(unit);
  const across = place?.piece && !isAngle(place.piece.class) ? place.piece.width : undefined;
  const reading = measured && across !== undefined ? knife.reading : undefined;
  const finding =
    reading && across !== undefined ? knifeCheck(reading.seen, reading.length, across, toleranceFor()) : undefined;
  const [fault, setFault] = useState<{
    readonly field: 'what' | 'minutes' | 'length' | 'width';
    readonly reason: string;
  }>();
  // Known before it is sent, so that what mends it can name it.
  const [id] = useState(() => crypto.randomUUID());
  const send = async () => {
    if (measured && across !== undefined && !finding)
      return setFault({ field: 'what', reason: 'Can’t read what the knife shows. Check the numbers.' });
    if (finding?.kind === 'flat')
      return setFault({ field: 'what', reason: 'This joint is flat. There is no problem to report.' });
    const found = finding ? (finding.kind === 'hump' ? 'crown' : 'hollow') : defect;
    if (!found && text.trim() === '' && photos.length === 0)
      return setFault({ field: 'what', reason: 'Choose a kind, write a note or add a photo.' });
    const took = minutesTyped(minutes);
    const length = isPrefilled(defect) && long.trim() !== '' ? parseLength(long, unit) : undefined;
    if (length && !length.ok) return setFault({ field: 'length', reason: length.reason });
    if (length?.ok && (length.mm <= 0 || length.mm > LONGEST_GAP_MM))
      return setFault({ field: 'length', reason: 'Too long for a gap.' });
    const width = length && wide.trim() !== '' ? parseLength(wide, unit) : undefined;
    if (width && !width.ok) return setFault({ field: 'width', reason: width.reason });
    if (width?.ok && (width.mm <= 0 || width.mm > WIDEST_GAP_MM))
      return setFault({ field: 'width', reason: 'Too wide to fill. Cut in a piece of board.' });
    if (mended && took === 'wrong') return setFault({ field: 'minutes', reason: 'Enter the minutes as a number.' });
    setFault(undefined);
    const item: Said = {
      kind: 'item',
      room: room.id,
      id,
      payload: {
        ...(found ? { defect: found } : {}),
        ...(reading && reading.seen.kind !== 'flat' && across !== undefined
          ? { knife: { length: reading.length, width: across, seen: reading.seen } }
          : {}),
        ...(length?.ok ? { length: length.mm } : {}),
        ...(width?.ok ? { width: width.mm } : {}),
        ...(text.trim() ? { text: text.trim(), ...(forBuilder && { forBuilder }) } : {}),
        ...(place ? { face: place.face } : {}),
        ...(place?.place ? { place: [place.place[0], place.place[1]] } : {}),
        ...(place?.piece ? { piece: place.piece.id } : {}),
        ...(photos.length > 0 ? { photos: photos.map((photo) => photo.id) } : {}),
      },
    };
    const mend: Said = {
      kind: 'itemClosed',
      room: room.id,
      payload: { item: id, ...(typeof took === 'number' ? { minutes: took } : {}) },
    };
    if (await log.write(mended ? [item, mend] : [item], { photos })) close();
  };
  return (
    <Dialog title={`Report problem in ${room.name}`} close={close} className="gloves sm:max-w-3xl">
      <PlaceChooser room={room.id} chosen={place} onChange={setPlace} />
      <fieldset>
        <legend className="mb-1 text-sm font-semibold">
          What{place?.piece ? `, on ${CLASS_NAMES[place.piece.class].toLowerCase()}` : ''}
        </legend>
        <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
          {(early ? BEFORE_TAPE : defectsOn(place?.piece?.class)).map((kind) => (
            <button
              key={kind}
              type="button"
              aria-pressed={defect === kind}
              className={`btn h-auto min-h-12 py-1 leading-tight ${defect === kind ? 'btn-primary' : ''}`}
              onClick={() => setDefect(defect === kind ? undefined : kind)}
            >
              {DEFECT_WORDS[kind].name}
            </button>
          ))}
        </div>
      </fieldset>
      {defect && (
        <p className="rounded-lg bg-base-200 p-3" aria-live="polite">
          It comes from: {DEFECT_WORDS[defect].cause}. Mend: {DEFECT_WORDS[defect].mend};{' '}
          {MEND_WORDS[DEFECTS[defect].mend]}.
        </p>
      )}
      {place?.piece && isAngle(place.piece.class) && !early && (
        <p className="text-sm text-muted">
          Judge an inside corner with a light along it: straight, both edges vanish, the corner clean.
        </p>
      )}
      {across !== undefined && !early && (
        <div className="space-y-3">
          <label className="flex min-h-12 items-center gap-3 font-semibold">
            <input
              type="checkbox"
              className="checkbox checkbox-lg"
              checked={measured}
              onChange={(event) => setMeasured(event.target.checked)}
            />
            Lay a knife across it
          </label>
          {measured && <KnifeFields {...knife} />}
          {finding && place?.piece && (
            <div className="rounded-lg bg-base-200 p-3">
              <p aria-live="polite">
                <strong>{findingTitle(finding, unit)}</strong> {findingWords(finding, place.piece.class, unit)}
              </p>
              {reading && <KnifeDrawing {...reading} width={across} unit={unit} className="mt-2" />}
            </div>
          )}
        </div>
      )}
      {isPrefilled(defect) && (
        <div className="flex flex-wrap gap-3">
          <TextField
            label={unit === 'in' ? 'How long: 3 ft, 40 in' : 'How long: 900, 1.2 m'}
            className="w-52"
            data-length
            value={long}
            error={fault?.field === 'length' ? fault.reason : undefined}
            onChange={(event) => setLong(event.target.value)}
          />
          <TextField
            label={unit === 'in' ? 'How wide: 1/4 in' : 'How wide: 6 mm'}
            className="w-52"
            data-length
            value={wide}
            error={fault?.field === 'width' ? fault.reason : undefined}
            onChange={(event) => setWide(event.target.value)}
          />
        </div>
      )}
      <TextField
        label="Notes (optional)"
        value={text}
        maxLength={500}
        error={fault?.field === 'what' ? fault.reason : undefined}
        onChange={(event) => setText(event.target.value)}
      />
      {text.trim() !== '' && (
        <label className="flex min-h-12 items-center gap-3">
          <input
            type="checkbox"
            className="checkbox checkbox-lg"
            checked={forBuilder}
            onChange={(event) => setForBuilder(event.target.checked)}
          />
          The builder can read these words
        </label>
      )}
      <PhotoField photos={photos} onChange={setPhotos} />
      <div className="flex flex-wrap items-end gap-4">
        <label className="flex min-h-12 items-center gap-3 font-semibold">
          <input
            type="checkbox"
            className="checkbox checkbox-lg"
            checked={mended}
            onChange={(event) => setMended(event.target.checked)}
          />
          Fixed already
        </label>
        {mended && (
          <TextField
            label="Minutes it took"
            className="w-40"
            inputMode="decimal"
            value={minutes}
            error={fault?.field === 'minutes' ? fault.reason : undefined}
            onChange={(event) => setMinutes(event.target.value)}
          />
        )}
      </div>
      {log.message && (
        <p role="alert" className="text-error">
          {log.message}
        </p>
      )}
      <div className="grid grid-cols-[2fr_1fr] gap-2">
        <button type="button" className="btn btn-primary btn-xl" disabled={log.busy} onClick={() => void send()}>
          Save problem
        </button>
        <button type="button" className="btn btn-xl" onClick={close}>
          Cancel
        </button>
      </div>
    </Dialog>
  );
}
