import {
  CUTTING_SAID,
  changesSaved,
  formatAngle,
  type Lumber,
  mm,
  ownerKey,
  type Plan,
  plain,
  type Roll,
  type Setup,
  type Shop,
  type Species,
  type Stop,
  sentenceIn,
  setupSteps,
  setupsOf,
} from '@fellside/core';
import { useMemo } from 'react';
import { isIn } from '../../store/selection.js';
import { session } from '../../store/sessionSlice.js';
import { useActions, useApp } from '../../store/store.js';
import { Heads } from '../../ui/Heads.js';
import { Swatch } from '../../ui/Swatch.js';
import { tableClass } from '../../ui/tables.js';
import { ExactFigures, useStopSaid } from '../Exact.js';
import { StopsTogether } from './StopsTogether.js';

interface MitreListProps {
  readonly lumber: Lumber;
  readonly woods: readonly Species[];
  readonly roll: Roll;
  readonly shop: Shop;
  readonly plan: Plan;
}

/** The mitre settings in the order that moves the saw least: tilt, angle, then stops from long to short with all woods under each. */
export function MitreList({ lumber, woods, roll, shop, plan }: MitreListProps) {
  const setups = useMemo(() => setupsOf(lumber), [lumber]);
  const saved = changesSaved(lumber, roll);
  return (
    <>
      <h2 className="mb-1 font-semibold">
        Mitre{' '}
        <span className="text-xs font-normal text-quiet">
          {setups.length} {setups.length === 1 ? 'setting' : 'settings'}
          {saved > 0 && `, ${saved} ${saved === 1 ? 'change' : 'changes'} fewer than ring by ring`}
        </span>
      </h2>
      {setups.length > 0 && <ExactFigures />}
      <ol>
        {setups.map((setup, i) => (
          <li
            key={`${setup.cutAngle} ${setup.bladeTilt} ${setup.cutting}`}
            className="border-t border-line py-2"
          >
            <Setting {...{ setup, woods, roll, shop }} number={i + 1} />
            <StopsTogether {...{ setup, roll, shop, plan }} />
          </li>
        ))}
      </ol>
      {setups.length === 0 && <p className="text-quiet">Nothing is mitred in this piece.</p>}
    </>
  );
}

type SettingProps = Pick<MitreListProps, 'woods' | 'roll' | 'shop'> & {
  readonly setup: Setup;
  readonly number: number;
};

function Setting({ setup, number, woods, roll, shop }: SettingProps) {
  const { cutAngle, bladeTilt, wedge, cutting, stops, cuts } = setup;
  const tested = stops.flatMap((stop) => stop.woods.filter(({ tests }) => tests > 0))[0];
  const testedName = woods.find(({ id }) => id === tested?.wood)?.name;
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
            wedge {formatAngle(wedge)} · {CUTTING_SAID[cutting]}
            {tested &&
              ` · ${tested.tests === 1 ? 'one test piece' : `${tested.tests} test pieces`}: ${testedName}`}
          </p>
        </div>
      </div>
      <table aria-label={`Stops of setting ${number}`} className={`${tableClass} mt-1`}>
        <Heads of={['Stop', 'Pieces and spares', 'For', 'Short edge']} />
        <tbody>
          {stops.map((stop) => (
            <StopRow key={stop.edgeMm} {...{ stop, setup, woods, roll }} />
          ))}
        </tbody>
      </table>
      <details className="mt-1 text-[13px]">
        <summary className="cursor-pointer text-quiet">How it is set, and the first test cut</summary>
        <ul className="ml-4 list-disc">
          {setupSteps(setup).map((step) => (
            <li key={plain(step)}>{sentenceIn(step, shop.units)}</li>
          ))}
        </ul>
      </details>
    </>
  );
}

function StopRow({
  stop: { edgeMm, woods: cut },
  setup: { cutAngle },
  woods,
  roll,
}: Omit<SettingProps, 'number' | 'shop'> & { stop: Stop }) {
  const dispatch = useActions();
  const stopSaid = useStopSaid();
  const isSelected = isIn(useApp((state) => state.session.selected));
  const owners = [
    ...new Map(cut.flatMap((of) => of.owners).map((owner) => [ownerKey(owner), owner])).values(),
  ];
  const lit = owners.length > 0 && owners.every(isSelected);
  const shorts = [
    ...new Set(cut.map(({ widthMm }) => stopSaid(mm(edgeMm - 2 * widthMm * Math.tan(cutAngle))))),
  ];
  return (
    <tr className={`border-t border-line align-top ${lit ? 'bg-teal-wash' : ''}`}>
      <th scope="row">
        <span className="text-lg leading-5">{stopSaid(edgeMm)}</span>
      </th>
      <td>
        <span className="flex flex-wrap gap-x-3 gap-y-1">
          {cut.map((of) => {
            const species = woods.find(({ id }) => id === of.wood);
            const more = of.spares + of.tests;
            return (
              <span
                key={`${of.wood} ${of.widthMm} ${of.thicknessMm} ${of.hand}`}
                className="flex items-center gap-1"
              >
                <Swatch wood={species} size={18} />
                <span className="sr-only">{species?.name}: </span>
                <b>{of.pieces}</b>
                {more > 0 && <span className="text-quiet">+{more}</span>}
                {of.hand && <span className="text-quiet">{of.hand}</span>}
              </span>
            );
          })}
        </span>
      </td>
      <td className="whitespace-normal">
        <button
          type="button"
          className="text-left text-teal underline"
          onClick={() => dispatch(session.selected(owners))}
        >
          {owners.map(roll.nameOf).join(', ')}
        </button>
      </td>
      <td className="text-quiet">{cutAngle > 0 ? shorts.join(', ') : ''}</td>
    </tr>
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
