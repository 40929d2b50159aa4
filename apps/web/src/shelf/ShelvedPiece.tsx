import { formatLength, mm } from '@fellside/core';
import { Ellipsis } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { Link } from 'react-router';
import { Elevation } from '../pictures/Elevation.js';
import { api, drawingUrl, NO_ANSWER, type ShelvedProject, sentencesOf } from '../store/api.js';
import { unitsOf, usualFinishOf } from '../store/house.js';
import { useActions, useApp } from '../store/store.js';
import { saveBlob } from '../ui/saveFile.js';

interface ShelvedPieceProps {
  readonly piece: ShelvedProject;
  /** Px a mm, one for the whole shelf. */
  readonly scale: number;
  /** Whether edits of it are in this browser only. */
  readonly unsent: boolean;
  readonly onRemoved: () => void;
  readonly onTrouble: (sentences: readonly string[]) => void;
}

/** How far it is, beside its size. */
const SAID = { planned: '', begun: ' · begun', made: ' · made' } as const;

/** One piece on the shelf: its elevation on the line, its name and size, and what can be done with it. */
export function ShelvedPiece(props: ShelvedPieceProps) {
  const { piece, scale, unsent } = props;
  const units = useApp(unitsOf);
  const usual = useApp(usualFinishOf);
  const { id, name, heightMm, diameterMm, unreadable } = piece;
  if (unreadable) return <Unreadable piece={piece} />;
  const [width, height] = [diameterMm, heightMm].map((size) => Math.max(8, (size ?? 0) * scale)) as [
    number,
    number,
  ];
  return (
    <li className="flex flex-col">
      <Link
        to={`/piece/${id}/form`}
        aria-label={`Open ${name}`}
        className="block border-b-2 border-quiet px-3"
      >
        <Elevation url={drawingUrl(piece, usual)} width={width} height={height} style={{ height }} />
      </Link>
      <div className="mt-2 flex items-start gap-2 px-3">
        <div className="flex-1">
          <Link to={`/piece/${id}/form`} className="font-semibold hover:underline">
            {name}
          </Link>
          <p className="text-sm text-quiet">
            {formatLength(mm(heightMm ?? 0), units)} × {formatLength(mm(diameterMm ?? 0), units)}
            {SAID[piece.state]}
          </p>
          {unsent && <p className="text-sm text-rust">has unsent edits</p>}
        </div>
        <PieceMenu {...props} />
      </div>
    </li>
  );
}

function PieceMenu({ piece, onRemoved, onTrouble }: ShelvedPieceProps) {
  const { id, name } = piece;
  const dispatch = useActions();
  const [remove] = api.useRemoveProjectMutation();
  const save = async () => {
    const answer = await fetch(`${location.origin}/api/projects/${id}/file`).catch(() => null);
    if (answer?.ok) saveBlob(`${name}.fellside.json`, await answer.blob());
    else onTrouble(['The file could not be made; is Fellside still running?']);
  };
  const add = async (what: 'copy' | 'mirror') => {
    const made = await import('./another.js').catch(() => null);
    if (!made) return onTrouble([NO_ANSWER]);
    const trouble = await dispatch(made.another(id, name, what));
    if (trouble.length > 0) onTrouble(trouble);
  };
  const items: readonly [string, () => unknown][] = [
    ['Save as a file (JSON)', save],
    ['Make a copy', () => add('copy')],
    ['Make its mirror image', () => add('mirror')],
    [
      'Take off the shelf',
      async () => {
        const taken = await remove(id);
        if (taken.error) onTrouble(sentencesOf(taken.error));
        else onRemoved();
      },
    ],
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
              onSelect={() => void act()}
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

/** A piece that cannot be read costs no other: it stands there with its raw text to save. */
function Unreadable({ piece: { id, name, unreadable } }: { piece: ShelvedProject }) {
  return (
    <li className="flex w-56 flex-col rounded border border-rust bg-rust-wash p-3">
      <p className="font-semibold">{name}</p>
      <p className="my-1 text-sm text-rust">{unreadable} The other pieces are not touched by it.</p>
      <a
        className="text-teal underline"
        href={`${location.origin}/api/projects/${id}/raw`}
        download={`${name} raw.txt`}
      >
        Save its raw text
      </a>
    </li>
  );
}
