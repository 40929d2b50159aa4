import {
  CUTTING_SAID,
  changesSaved,
  formatAngle,
  formatLength,
  type Lumber,
  plain,
  type Roll,
  type Setup,
  type Species,
  sentenceIn,
  setupSteps,
  setupsOf,
} from '@fellside/core';
import { isIn } from '../../store/selection.js';
import { unitsOf } from '../../store/selectors.js';
import { session } from '../../store/sessionSlice.js';
import { useActions, useApp } from '../../store/store.js';
import { Swatch } from '../../ui/Swatch.js';

interface SetupListProps {
  readonly lumber: Lumber;
  readonly woods: readonly Species[];
  readonly roll: Roll;
}

/** The settings of the saw in the order that changes it least; each stop leads to its rings. */
export function SetupList({ lumber, woods, roll }: SetupListProps) {
  const setups = setupsOf(lumber);
  const saved = changesSaved(lumber, roll);
  return (
    <>
      <h2 className="mb-1 font-semibold">
        Set the saw{' '}
        <span className="text-xs font-normal text-quiet">
          {setups.length} {setups.length === 1 ? 'setting' : 'settings'}
          {saved > 0 && `, ${saved} ${saved === 1 ? 'change' : 'changes'} fewer than ring by ring`}
        </span>
      </h2>
      <ol>
        {setups.map((setup, i) => (
          <li
            key={`${setup.cutAngle} ${setup.bladeTilt} ${setup.cutting}`}
            className="border-t border-line py-2"
          >
            <Setting setup={setup} number={i + 1} {...{ woods, roll }} />
          </li>
        ))}
      </ol>
      {setups.length === 0 && <p className="text-quiet">Nothing is mitred in this piece.</p>}
    </>
  );
}

function Setting({
  setup,
  number,
  woods,
  roll: { nameOf },
}: Omit<SetupListProps, 'lumber'> & { setup: Setup; number: number }) {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const selected = useApp((state) => state.session.selected);
  const isSelected = isIn(selected);
  const { cutAngle, bladeTilt, stops, cuts } = setup;
  return (
    <>
      <div className="flex items-start gap-3">
        <Wedge setup={setup} />
        <div>
          <p>
            <span className="sr-only">Setting {number}: </span>
            <b className="text-lg">{formatAngle(cutAngle)}</b>
            {bladeTilt > 0 && <b> tilt {formatAngle(bladeTilt)}</b>}{' '}
            <span className="text-quiet">
              {cuts} {cuts === 1 ? 'piece' : 'pieces'}
            </span>
          </p>
          <p className="text-xs text-quiet">
            wedge {formatAngle(setup.wedge)}
            {` · ${CUTTING_SAID[setup.cutting]}`}
          </p>
        </div>
      </div>
      <table className="mt-1 w-full text-[13px] [&_td]:py-0.5 [&_td]:pr-2">
        <tbody>
          {stops.map((stop) => {
            const lit = stop.owners.length > 0 && stop.owners.every(isSelected);
            const species = woods.find(({ id }) => id === stop.wood);
            return (
              <tr
                key={`${stop.wood} ${stop.edgeMm} ${stop.widthMm} ${stop.hand}`}
                className={lit ? 'bg-teal-wash' : ''}
              >
                <td>
                  <Swatch wood={species} size={14} />
                </td>
                <td className="font-semibold whitespace-nowrap">{formatLength(stop.edgeMm, units)}</td>
                <td className="whitespace-nowrap text-quiet">{formatLength(stop.widthMm, units)} wide</td>
                <td>
                  <button
                    type="button"
                    className="text-left text-teal underline"
                    onClick={() => dispatch(session.selected(stop.owners))}
                  >
                    {stop.owners.map(nameOf).join(', ')}
                  </button>
                  {stop.hand && ` ${stop.hand}`}
                </td>
                <td className="text-right whitespace-nowrap">
                  {stop.pieces}
                  {stop.spares > 0 && <span className="text-quiet"> +{stop.spares}</span>}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <details className="mt-1 text-[13px]">
        <summary className="cursor-pointer text-quiet">How it is set, and the first test cut</summary>
        <ul className="ml-4 list-disc">
          {setupSteps(setup).map((step) => (
            <li key={plain(step)}>{sentenceIn(step, units)}</li>
          ))}
        </ul>
      </details>
    </>
  );
}

/** The shape of a piece at this setting, its true angle. */
function Wedge({ setup: { cutAngle } }: { setup: Setup }) {
  const slant = 26 * Math.tan(Math.min(1.1, cutAngle));
  return (
    <svg width="46" height="34" aria-hidden className="shrink-0">
      <path
        d={`M2 30L${2 + slant} 4H${44 - slant}L44 30Z`}
        fill="var(--color-teal-wash)"
        stroke="var(--color-ink)"
      />
    </svg>
  );
}
