import { boardFeet, formatLength, type Plan, type Result, sentenceIn } from '@fellside/core';
import { unitsOf } from '../store/house.js';
import { useApp } from '../store/store.js';

/** A piece that could be, beside others. */
export interface Column {
  readonly name: string;
  readonly plan: Result<Plan>;
  /** So many of it. */
  readonly times?: number;
}

const checksIn = ({ checks }: Plan) => checks.filter(({ note }) => !note);

/** The figures of the piece as it is, and of those that could be made; what differs from the first is set bold. */
export function Beside({ columns, caption }: { columns: readonly Column[]; caption: string }) {
  const units = useApp(unitsOf);
  const rows: [string, (plan: Plan, times: number) => string][] = [
    ['Height', ({ heightMm }) => formatLength(heightMm, units)],
    ['Across', ({ diameterMm }) => formatLength(diameterMm, units)],
    ['Rings', ({ rings }) => String(rings.length)],
    [
      'Pieces',
      ({ pieces }, times) => (times > 1 ? `${times} × ${pieces} = ${times * pieces}` : String(pieces)),
    ],
    ['Wood in it', ({ woodMm3 }, times) => `${(times * boardFeet(woodMm3)).toFixed(2)} bd ft`],
    ['Weight', ({ massKg }) => `${massKg.toFixed(2)} kg`],
    ['To look at', (plan) => String(checksIn(plan).length)],
  ];
  const cell = (of: (plan: Plan, times: number) => string, { plan, times = 1 }: Column) =>
    plan.ok ? of(plan.value, times) : '–';
  return (
    <>
      <table className="w-full max-w-2xl">
        <caption className="mb-1 text-left text-lg font-semibold">{caption}</caption>
        <thead>
          <tr className="text-left text-sm text-quiet">
            <th scope="col">What</th>
            {columns.map(({ name }) => (
              <th key={name} scope="col" className="text-right">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([label, of]) => {
            const [first, ...others] = columns.map((column) => cell(of, column));
            return (
              <tr key={label} className="border-t border-line">
                <th scope="row" className="py-1.5 text-left font-normal">
                  {label}
                </th>
                <td className="py-1.5 text-right tabular-nums">{first}</td>
                {others.map((says, i) => (
                  <td
                    key={columns[i + 1]!.name}
                    className={`py-1.5 text-right tabular-nums ${says === first ? '' : 'font-semibold'}`}
                  >
                    {says}
                  </td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
      {columns.slice(1).map((column) => (
        <Trouble key={column.name} {...column} />
      ))}
    </>
  );
}

/** Why a piece cannot be, or what would have to be looked at. */
function Trouble({ name, plan }: Column) {
  const units = useApp(unitsOf);
  const says = plan.ok ? checksIn(plan.value).slice(0, 5) : plan.reasons;
  return says.map(({ code, message }, i) => (
    <p
      key={`${code} ${i}`}
      role={plan.ok ? undefined : 'alert'}
      className={`mt-2 text-sm ${plan.ok ? '' : 'text-rust'}`}
    >
      {name}: {sentenceIn(message, units)}
    </p>
  ));
}
