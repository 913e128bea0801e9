import { type RoomRight, rightInAll } from '@/core/drywatch/wasRight';
import { coatKindWords } from '@/words/coatWords';
import { rightWords } from '@/words/rightWords';

/** Compares what the clocks predicted with what touch checks found, by room and kind of coat. */
export function WasRight({ rooms }: { readonly rooms: readonly RoomRight[] }) {
  if (rooms.length === 0) return null;
  const all = rightInAll(rooms);
  return (
    <section className="sheet overflow-x-auto p-4" aria-label="Was it right?">
      <h2>Was it right?</h2>
      <p className="text-sm text-muted">{rightWords(all)}</p>
      <table className="table table-sm">
        <thead>
          <tr>
            <th scope="col">Room, mud and coat</th>
            <th scope="col" className="text-right">
              Touch checks
            </th>
            <th scope="col" className="text-right">
              Tables
            </th>
            <th scope="col" className="text-right">
              Learned
            </th>
            <th scope="col" className="text-right">
              In range
            </th>
            <th scope="col" className="text-right">
              Dries
            </th>
          </tr>
        </thead>
        <tbody>
          {rooms.map(({ room, kind, touches, plain, learned, covered, slowness }) => (
            <tr key={`${room.id} ${kind}`}>
              <th scope="row" className="font-semibold">
                {room.name}
                <span className="font-normal text-muted">: {coatKindWords(kind)}</span>
              </th>
              <td className="text-right">{touches}</td>
              <td className="text-right">{plain} right</td>
              <td className="text-right">{learned} right</td>
              <td className="text-right">{Math.round((covered / touches) * 100)} %</td>
              <td className="text-right whitespace-nowrap">
                {biasWords(slowness.factor - 1)}
                <span className="text-muted">
                  {' '}
                  ({slowness.low.toFixed(2)}–{slowness.high.toFixed(2)})
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

const biasWords = (bias: number): string => {
  const percent = Math.round(Math.abs(bias) * 100);
  return percent < 2 ? 'as the tables say' : `${percent} % ${bias > 0 ? 'slower' : 'faster'}`;
};
