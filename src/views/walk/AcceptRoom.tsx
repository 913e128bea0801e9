'use client';

import { useLog } from '@/client/useLog';
import { ProblemButton } from '@/ui/problem/ProblemButton';
import { plural } from '@/words/plural';
import type { AcceptFace, AcceptRow } from './acceptRows';

/** A room before tape, face by face: good to be taped, held for the hanger, or something is wrong there. */
export function AcceptRoom({
  row,
  now,
  leads,
  works,
}: {
  readonly row: Pick<AcceptRow, 'id' | 'name' | 'faces'>;
  readonly now: number;
  readonly leads: boolean;
  readonly works: boolean;
}) {
  const log = useLog(now);
  const left = row.faces.filter(({ found }) => found !== 'good');
  const say = (found: 'good' | 'held', faces: readonly AcceptFace[]) =>
    void log.write([
      {
        kind: 'accepted',
        room: row.id,
        // By name: a face that comes later was not looked at.
        payload: { found, faces: faces.map(({ id }) => id) },
      },
    ]);
  return (
    <div className="space-y-2">
      <p className="text-sm text-muted">
        Screws below the paper, edges trimmed, board tight, beads straight. {row.faces.length - left.length} of{' '}
        {plural(row.faces.length, 'face')} good.
      </p>
      <ol className="divide-y divide-base-300">
        {row.faces.map((face) => (
          <li key={face.id} className="grid grid-cols-2 items-center gap-2 py-2 sm:flex">
            <span className="col-span-2 flex-1">
              <b className="block font-semibold first-letter:uppercase">{face.name}</b>
              <span className="block text-sm text-muted">{faceState(face)}</span>
            </span>
            {leads && face.found !== 'good' && (
              <button
                type="button"
                className="btn btn-lg"
                disabled={log.busy}
                aria-label={`Good: ${face.name} of ${row.name}`}
                onClick={() => say('good', [face])}
              >
                Good
              </button>
            )}
            {leads && face.found !== 'held' && (
              <button
                type="button"
                className="btn btn-lg"
                disabled={log.busy}
                aria-label={`Hold: ${face.name} of ${row.name}`}
                onClick={() => say('held', [face])}
              >
                Hold
              </button>
            )}
            {works && (
              <ProblemButton
                now={now}
                room={row}
                face={face.id}
                early
                label={`Report problem on ${face.name}`}
                className="btn btn-lg col-span-2"
              />
            )}
          </li>
        ))}
      </ol>
      {leads && left.length > 0 && (
        <button
          type="button"
          className="btn btn-primary btn-xl h-auto w-full py-4 text-lg"
          disabled={log.busy}
          onClick={() => say('good', left)}
        >
          {left.length === row.faces.length ? `All of ${row.name} is good` : `The rest of ${row.name} is good`}
        </button>
      )}
      {log.message && (
        <p role="alert" className="text-error">
          {log.message}
        </p>
      )}
    </div>
  );
}

function faceState({ found, open }: AcceptFace): string {
  const said = found === 'good' ? '✓ accepted' : found === 'held' ? '✗ held for the hanger' : 'not looked at yet';
  return open > 0 ? `${said}, ${open} to mend` : said;
}
