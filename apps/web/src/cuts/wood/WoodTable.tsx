import {
  accountRows,
  boardFeet,
  byFeetAlone,
  type Shop,
  type Species,
  type WoodAccount,
} from '@fellside/core';
import { Swatch } from '../../ui/Swatch.js';
import { headClass, tableClass } from '../../ui/tables.js';

/** Less than this is not worth a line (mm³). */
const NOTHING = 0.5;

interface WoodTableProps {
  readonly accounts: readonly WoodAccount[];
  readonly woods: readonly Species[];
  readonly shop: Shop;
}

/** The account of all woods side by side, from the finished piece to the boards, in board feet; every row of a column counts. */
export function WoodTable({ accounts, woods, shop }: WoodTableProps) {
  const species = (id: string) => woods.find((wood) => wood.id === id);
  const columns = accounts.map(({ ledger }) => accountRows(ledger));
  const rows = (columns[0] ?? []).flatMap((row, i) => {
    const volumes = columns.map((column) => column[i]!.mm3);
    return row.is === 'total' || volumes.some((mm3) => Math.abs(mm3) > NOTHING) ? [{ ...row, volumes }] : [];
  });
  return (
    <table aria-label="Board feet step by step" className={`${tableClass} [&_td]:text-right!`}>
      <thead>
        <tr className={headClass}>
          <th scope="col">board feet</th>
          {accounts.map(({ wood }) => (
            <th key={wood} scope="col" className="text-right! align-bottom whitespace-normal!">
              <span className="inline-flex justify-end">
                <Swatch wood={species(wood)} size={16} />
              </span>
              <br />
              {species(wood)?.name ?? wood}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ key, name, is, volumes }) => (
          <tr key={key} className={is === 'total' ? 'border-t border-line font-semibold' : 'text-quiet'}>
            <th scope="row" className={is === 'total' ? '' : 'pl-4! font-normal'}>
              {name}
            </th>
            {volumes.map((mm3, i) => (
              <td key={accounts[i]!.wood} data-wood={accounts[i]!.wood} data-row={key}>
                {Math.abs(mm3) > NOTHING || is === 'total' ? boardFeet(mm3).toFixed(2).replace('-', '−') : ''}
              </td>
            ))}
          </tr>
        ))}
        <tr className="border-t border-line text-quiet">
          <th scope="row" className="font-normal whitespace-normal!">
            If you buy by board feet alone: strips and blocks, planing and rip kerfs, and {shop.wastePercent}{' '}
            % on top
          </th>
          {accounts.map(({ wood, ledger }) => (
            <td key={wood}>{byFeetAlone(ledger, shop).toFixed(2)}</td>
          ))}
        </tr>
      </tbody>
    </table>
  );
}
