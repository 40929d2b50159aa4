import {
  AGES,
  INVISIBLE,
  READS_WELL,
  SIGHTS,
  type Sight,
  type TouchingPair,
  weakShare,
} from '@fellside/core';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { Choice } from '../ui/Choice.js';
import { Group } from '../ui/Group.js';
import { Swatch } from '../ui/Swatch.js';
import { pairsOf } from './contrast.js';

const SIGHT_NAMES: Record<Sight, string> = {
  usual: 'as most people do',
  grey: 'in grey',
  protan: 'without red (protan)',
  deutan: 'without green (deutan)',
  tritan: 'without blue (tritan)',
};

/** Whether the pattern is going to show: how different touching woods look, new and aged, and to other eyes. */
export function ContrastPanel() {
  const dispatch = useActions();
  const pairs = useApp(pairsOf);
  const years = useApp((state) => state.session.years);
  const sight = useApp((state) => state.session.sight);
  return (
    <Group title="Is it going to show?">
      <div className="mb-2 flex flex-col gap-2">
        <label className="text-xs text-quiet">
          Age of the piece: <b className="text-ink">{years === 0 ? 'new' : `${years} years`}</b>
          <input
            type="range"
            min={0}
            max={20}
            step={1}
            value={years}
            className="block w-full accent-teal"
            onChange={(event) => dispatch(session.painting({ years: Number(event.target.value) }))}
          />
          <span aria-hidden className="flex justify-between">
            <span>new</span>
            <span>5</span>
            <span>10</span>
            <span>15</span>
            <span>20 years</span>
          </span>
        </label>
        <Choice
          label="Seen"
          className="w-full"
          value={sight}
          options={SIGHTS.map((each) => [each, SIGHT_NAMES[each]] as const)}
          onChange={(chosen) => dispatch(session.painting({ sight: chosen }))}
        />
      </div>
      {pairs.length === 0 ? (
        <p className="text-sm text-quiet">No two different woods touch yet.</p>
      ) : (
        <>
          <Weakest pair={pairs[0]!} share={AGES.map((_, age) => weakShare(pairs, age))} />
          <table className="mt-2 w-full text-sm">
            <caption className="sr-only">Colour difference (CIEDE2000) of woods that touch</caption>
            <thead className="text-right text-xs text-quiet">
              <tr>
                <th className="text-left font-normal">Touching woods</th>
                <th className="pl-2 font-normal">new</th>
                <th className="pl-2 font-normal whitespace-nowrap">5 yr</th>
                <th className="pl-2 font-normal whitespace-nowrap">20 yr</th>
              </tr>
            </thead>
            <tbody>
              {pairs.map(({ a, b, differences }) => (
                <tr key={`${a.id} ${b.id}`} className="border-t border-line">
                  <td className="w-full max-w-0 py-0.5">
                    <span className="flex items-center gap-1">
                      <Swatch wood={a} size={16} />
                      <Swatch wood={b} size={16} />
                      <span className="min-w-0 wrap-anywhere">
                        {a.name}, {b.name}
                      </span>
                    </span>
                  </td>
                  {differences.map((value, i) => (
                    <td
                      key={AGES[i]}
                      className={`pl-2 text-right ${value < INVISIBLE ? 'font-semibold text-rust' : ''}`}
                    >
                      {value.toFixed(0)}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-1 text-xs text-quiet">
            Colour difference CIEDE2000: under {INVISIBLE} is lost across a room, over {READS_WELL} reads
            well. Colours and ageing are by eye; try them on scraps with your finish.
          </p>
        </>
      )}
    </Group>
  );
}

function Weakest({ pair: { a, b, differences }, share }: { pair: TouchingPair; share: readonly number[] }) {
  const least = Math.min(...differences);
  const when = ['new', 'after five years', 'after twenty years'][differences.indexOf(least)]!;
  const verdict =
    least < INVISIBLE
      ? 'that is lost across a room'
      : least < READS_WELL
        ? 'that shows, but quietly'
        : 'that reads well';
  const most = Math.max(...share);
  return (
    <p className="text-sm">
      Weakest: <b>{a.name}</b> beside <b>{b.name}</b>, {least.toFixed(0)} {when}; {verdict}.{' '}
      {most > 0
        ? `Up to ${Math.max(1, Math.round(100 * most))} % of the borders between woods are that weak.`
        : 'No border is weak at any age.'}
    </p>
  );
}
