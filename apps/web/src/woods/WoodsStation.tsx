import { changeCoefficient, density } from '@fellside/core';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { BoardsPanel } from '../boards/BoardsPanel.js';
import { StashPanel } from '../stash/StashPanel.js';
import { api, type ListedWood, sentencesOf } from '../store/api.js';
import { Button } from '../ui/Button.js';
import { Swatch } from '../ui/Swatch.js';
import { headClass, tableClass } from '../ui/tables.js';
import { WoodPatterns, woodFill } from '../ui/WoodPatterns.js';
import { AddWood } from './AddWood.js';

/** The species: how they look, how heavy they are, how they move, what to beware of. */
export function WoodsStation() {
  const { data: woods = [] } = api.useWoodsQuery();
  const [remove] = api.useRemoveWoodMutation();
  const [trouble, setTrouble] = useState<string[]>([]);
  const takeOut = (id: string) =>
    remove(id)
      .unwrap()
      .then(() => setTrouble([]))
      .catch((error) => setTrouble(sentencesOf(error)));
  return (
    <div className="overflow-auto p-6">
      <h1 className="sr-only">Woods and rings on hand</h1>
      <BoardsPanel />
      <StashPanel />
      <div className="mb-3 flex items-center gap-4">
        <h2 className="text-xl font-semibold">Woods</h2>
        <p className="text-quiet">{woods.length} species. Prices are your own; none is shipped.</p>
        <div className="flex-1" />
        <AddWood />
      </div>
      {trouble.length > 0 && (
        <p role="alert" className="mb-3 text-rust">
          {trouble.join(' ')}
        </p>
      )}
      <div className="rounded border border-line bg-pane p-2">
        <table className={tableClass} aria-label="Woods">
          <thead>
            <tr className={headClass}>
              {[
                '',
                'Wood',
                'Hatch',
                'Density',
                'Shrinks, radial',
                'tangential',
                'per 1 % moisture',
                'Beware',
                'Source',
              ].map((head) => (
                <th key={head} scope="col">
                  {head || <span className="sr-only">Colour and letter</span>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {woods.map((wood) => (
              <Row key={wood.id} wood={wood} onRemove={() => takeOut(wood.id)} />
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}

function Row({ wood, onRemove }: { wood: ListedWood; onRemove: () => void }) {
  const beware = [wood.dust, wood.bleeds && 'Bleeds into pale neighbours under a wet first coat.']
    .filter(Boolean)
    .join(' ');
  return (
    <tr className="border-t border-line">
      <td>
        <Swatch wood={wood} size={26} />
      </td>
      <th scope="row">
        <span className="font-semibold">{wood.name}</span>{' '}
        <i className="font-normal text-quiet">{wood.latin}</i>
      </th>
      <td>
        <svg width="56" height="24" aria-hidden className="rounded-sm border border-line">
          <WoodPatterns woods={[wood]} hatched prefix="list" />
          <rect width="56" height="24" fill={woodFill(wood, 'list')} />
        </svg>
      </td>
      <td>{density(wood).toFixed(0)} kg/m³</td>
      <td>{wood.shrinkage ? `${wood.shrinkage.radial.toFixed(1)} %` : 'not known'}</td>
      <td>{wood.shrinkage ? `${wood.shrinkage.tangential.toFixed(1)} %` : ''}</td>
      <td>{wood.shrinkage ? `${(100 * changeCoefficient(wood.shrinkage.tangential)).toFixed(2)} %` : ''}</td>
      <td className="max-w-72 whitespace-normal">{beware}</td>
      <td className="max-w-64 whitespace-normal text-xs text-quiet">
        {wood.source}
        {wood.own && (
          <Button className="ml-2 h-6! px-1.5!" aria-label={`Remove ${wood.name}`} onClick={onRemove}>
            <Trash2 aria-hidden size={12} />
          </Button>
        )}
      </td>
    </tr>
  );
}
