import { hoursIn, type JournalEntry, spanSaid, WORK_KINDS } from '@fellside/core';

/** Hours by kind of work, and in all. */
export function HoursTable({ entries }: { entries: readonly JournalEntry[] }) {
  const { minutes, byWork } = hoursIn(entries);
  if (byWork.length === 0)
    return (
      <p className="text-sm text-quiet">
        None yet. Start the clock, let the cards start it, or write hours down.
      </p>
    );
  return (
    <table className="w-full text-sm">
      <caption className="sr-only">Hours by kind of work</caption>
      <tbody>
        {byWork.map(({ work, minutes: those }) => (
          <tr key={work} className="border-t border-line">
            <th scope="row" className="py-1 text-left font-normal">
              {WORK_KINDS[work]}
            </th>
            <td className="py-1 text-right tabular-nums">{spanSaid(those)}</td>
          </tr>
        ))}
        <tr className="border-t-2 border-line font-semibold">
          <th scope="row" className="py-1 text-left">
            In all
          </th>
          <td className="py-1 text-right tabular-nums">{spanSaid(minutes)}</td>
        </tr>
      </tbody>
    </table>
  );
}
