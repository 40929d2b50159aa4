import {
  extremes,
  formatLength,
  mirrorImage,
  mm,
  type Prepared,
  type Species,
  writeProjectFile,
} from '@fellside/core';
import { Ellipsis } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { Link } from 'react-router';
import { api, type ShelvedProject } from '../store/api.js';
import { unitsOf, woodsOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { saveFile } from '../ui/saveFile.js';
import { Elevation } from './Elevation.js';

interface ShelvedPieceProps {
  readonly saved: ShelvedProject;
  readonly prepared: Prepared;
  /** Px a mm, one for the whole shelf. */
  readonly scale: number;
  readonly onRemoved: () => void;
}

/** One piece on the shelf: its elevation on the line, its name and size, and what can be done with it. */
export function ShelvedPiece({ saved, prepared, scale, onRemoved }: ShelvedPieceProps) {
  const units = useApp(unitsOf);
  const woods = useApp(woodsOf);
  const { vessel } = prepared;
  const diameter = 2 * extremes(vessel.outside, 0, vessel.heightMm).most;
  const { name, palette } = saved.document;
  const species = new Map<string, Species>(
    palette.flatMap(({ key, wood }) => {
      const found = woods.find(({ id }) => id === wood);
      return found ? [[key, found] as const] : [];
    }),
  );
  return (
    <li className="flex flex-col">
      <Link
        to={`/piece/${saved.id}/form`}
        aria-label={`Open ${name}`}
        className="block border-b-2 border-quiet px-3"
      >
        <Elevation id={saved.id} prepared={prepared} palette={species} scale={scale} />
      </Link>
      <div className="mt-2 flex items-start gap-2 px-3">
        <div className="flex-1">
          <Link to={`/piece/${saved.id}/form`} className="font-semibold hover:underline">
            {name}
          </Link>
          <p className="text-sm text-quiet">
            {formatLength(mm(vessel.heightMm), units)} × {formatLength(mm(diameter), units)}
          </p>
        </div>
        <PieceMenu saved={saved} onRemoved={onRemoved} />
      </div>
    </li>
  );
}

function PieceMenu({ saved, onRemoved }: Pick<ShelvedPieceProps, 'saved' | 'onRemoved'>) {
  const woods = useApp(woodsOf);
  const [create] = api.useCreateProjectMutation();
  const [remove] = api.useRemoveProjectMutation();
  const { name } = saved.document;
  const items: readonly [string, () => void][] = [
    [
      'Save as a file (JSON)',
      () => saveFile(`${name}.fellside.json`, 'application/json', writeProjectFile(saved.document, woods)),
    ],
    ['Make a copy', () => create({ ...saved.document, name: `${name} (copy)`.slice(0, 80) })],
    [
      'Make its mirror image',
      () => create(mirrorImage(saved.document, `${name} (mirror image)`.slice(0, 80))),
    ],
    ['Take off the shelf', () => remove(saved.id).then(onRemoved)],
  ];
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger aria-label={`What to do with ${name}`} className="rounded p-1 hover:bg-pane">
        <Ellipsis aria-hidden size={18} />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" className="z-20 rounded border border-line bg-raised p-1 shadow-lg">
          {items.map(([label, act]) => (
            <DropdownMenu.Item
              key={label}
              onSelect={act}
              className="rounded px-3 py-1.5 data-highlighted:bg-teal-wash"
            >
              {label}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
