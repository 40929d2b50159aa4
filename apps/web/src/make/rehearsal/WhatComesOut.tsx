import type { Outcomes } from '@fellside/core';
import { unitsOf } from '../../store/house.js';
import { useApp } from '../../store/store.js';
import { outcomeRows, percent, small } from './figures.js';

interface WhatComesOutProps {
  readonly outcomes: Outcomes;
  /** As it was before something was tried. */
  readonly before: Outcomes | null;
}

/** What many builds come to: a middling one, a poor one, how often it shows; with what it was before something was tried. */
export function WhatComesOut({ outcomes, before }: WhatComesOutProps) {
  const units = useApp(unitsOf);
  const was = before ? outcomeRows(before) : [];
  return (
    <>
      <p className="mb-1 text-lg">
        <b>{percent(outcomes.clean)}</b> of builds come out with nothing to be seen
        {before && <span className="text-quiet"> (before: {percent(before.clean)})</span>}.
      </p>
      <table className="mb-3 w-full text-sm">
        <caption className="sr-only">What comes out of {outcomes.builds} builds</caption>
        <thead>
          <tr className="text-left text-xs text-quiet">
            <th scope="col">What</th>
            <th scope="col" className="text-right">
              middling
            </th>
            <th scope="col" className="pl-2 text-right">
              1 in 20
            </th>
            <th scope="col" className="pl-2 text-right">
              how often
            </th>
          </tr>
        </thead>
        <tbody>
          {outcomeRows(outcomes).map(({ id, name, middling, poor, seen, when }) => {
            const old = was.find((row) => row.id === id);
            return (
              <tr key={id} className="border-t border-line align-top">
                <th scope="row" className="py-1 text-left font-normal">
                  {name}
                </th>
                <td className="py-1 text-right tabular-nums">
                  {small(middling, units)}
                  {old && <Was>{small(old.middling, units)}</Was>}
                </td>
                <td className="py-1 pl-2 text-right tabular-nums">
                  {small(poor, units)}
                  {old && <Was>{small(old.poor, units)}</Was>}
                </td>
                <td className="py-1 pl-2 text-right">
                  {seen !== null && (
                    <>
                      {percent(seen)} <span className="block text-xs text-quiet">{when}</span>
                      {old?.seen != null && <Was>{percent(old.seen)}</Was>}
                    </>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}

const Was = ({ children }: { children: string }) => (
  <span className="block text-xs text-quiet">before {children}</span>
);
