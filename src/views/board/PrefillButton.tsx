import { useState } from 'react';
import type { useLog } from '@/client/useLog';
import type { LengthUnit } from '@/core/measure/unit';
import { Dialog } from '@/ui/Dialog';
import { DialogEnd } from '@/ui/DialogEnd';
import { SelectField } from '@/ui/SelectField';
import { roughLength } from '@/words/lengthWords';
import type { BoardRow } from './boardRows';

type Log = Pick<ReturnType<typeof useLog>, 'busy' | 'message' | 'write' | 'serverNow'>;
interface PrefillProps extends Log {
  readonly row: BoardRow;
  readonly prefill: NonNullable<BoardRow['prefill']>;
  readonly unit: LengthUnit;
}

const MINUTE_MS = 60_000;
const MIXED_MINUTES = [0, 5, 10, 20, 30, 45, 60, 120, 240] as const;

/** The gaps of a room that nobody has taped yet: said to be filled with one press more. */
export function PrefillButton(props: PrefillProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className="btn btn-ghost btn-sm -ml-1 px-1 text-muted"
        onClick={() => setOpen(true)}
        aria-label={`Pre-fill ${props.row.name}`}
      >
        Pre-fill
      </button>
      {open && <PrefillDialog {...props} close={() => setOpen(false)} />}
    </>
  );
}

function PrefillDialog({
  row,
  prefill: { length, found, minutes },
  unit,
  busy,
  message,
  write,
  serverNow,
  close,
}: PrefillProps & { readonly close: () => void }) {
  const [face, setFace] = useState('');
  const [mud, setMud] = useState<'setting' | 'drying'>('setting');
  const [mixed, setMixed] = useState('0');
  // Fixed when the dialog opens, so that pressing again after a lost answer sends the same entry.
  const [at] = useState(serverNow);
  const fill = async () => {
    const payload = {
      ...(face === '' ? {} : { faces: [face] }),
      ...(mud === 'drying'
        ? { mud: { kind: 'drying' as const } }
        : {
            mud: { kind: 'setting' as const, minutes },
            mixedAt: new Date(at - Number(mixed) * MINUTE_MS).toISOString(),
          }),
    };
    if (await write([{ kind: 'prefilled', room: row.id, payload }], { at })) close();
  };
  return (
    <Dialog title={`${row.name}: pre-fill`} close={close}>
      <div className="space-y-4">
        <p className="text-muted">
          {found ? '' : 'About '}
          {roughLength(length, unit)} of gaps and broken corners{found ? '' : ' (estimated, not inspected yet)'}. The
          tape waits until they are firm.
        </p>
        <SelectField
          label="Where"
          value={face}
          onChange={(event) => setFace(event.target.value)}
          options={[['', 'everywhere'], ...row.faces.map(({ id, words }) => [id, words] as const)]}
        />
        <div className="grid grid-cols-2 gap-3">
          <SelectField
            label="Mud"
            value={mud}
            onChange={(event) => setMud(event.target.value === 'drying' ? 'drying' : 'setting')}
            options={[
              ['setting', `setting, ${minutes} min`],
              ['drying', 'drying mud'],
            ]}
          />
          {mud === 'setting' && (
            <SelectField
              label="Mixed"
              value={mixed}
              onChange={(event) => setMixed(event.target.value)}
              options={MIXED_MINUTES.map((ago) => [String(ago), ago === 0 ? 'just now' : `${ago} min ago`] as const)}
            />
          )}
        </div>
        {message && (
          <p role="alert" className="text-error">
            {message}
          </p>
        )}
        <DialogEnd words="Filled" disabled={busy} go={() => void fill()} close={close} />
      </div>
    </Dialog>
  );
}
