import { afterCutting, type Board, type NewBoard } from '@fellside/core';
import { useState } from 'react';
import { useParams } from 'react-router';
import { api, sentencesOf } from '../../store/api.js';
import { write } from '../../store/journal/writing.js';
import { useActions } from '../../store/store.js';
import { Button } from '../../ui/Button.js';

interface SawnProps {
  readonly layouts: Parameters<typeof afterCutting>[0];
  readonly name: string;
  /** Whether the layout is the one that will stay. */
  readonly ready: boolean;
}

/** When the boards are really sawn: those of the layout are gone, and what is left comes back. */
export function Sawn({ layouts, name, ready }: SawnProps) {
  const { id = '' } = useParams();
  const dispatch = useActions();
  const [replace] = api.useReplaceBoardsMutation();
  const [said, setSaid] = useState('');
  const [back, setBack] = useState<{ remove: string[]; add: NewBoard[] } | null>(null);
  const { gone, offcuts } = afterCutting(layouts, name);
  if (!back && layouts.every(({ boards }) => boards.length === 0)) return null;
  const used = layouts.flatMap(({ boards }) => boards.flatMap(({ stock }) => stock.board ?? []));
  const saw = () =>
    replace({ remove: [...gone], add: [...offcuts] })
      .unwrap()
      .then((added) => {
        setSaid(`${gone.length} boards are taken out, ${offcuts.length} offcuts put in.`);
        dispatch(write(id, { kind: 'boards', boards: used.map(noted) }));
        setBack({ remove: added.map(({ id }) => id), add: used.map(({ id: _, ...board }) => board) });
      })
      .catch((error) => setSaid(sentencesOf(error).join(' ')));
  const putBack = (change: NonNullable<typeof back>) =>
    replace(change)
      .unwrap()
      .then(() => {
        setSaid('The boards are back, the offcuts gone.');
        dispatch(
          write(id, {
            kind: 'note',
            text: 'The boards that were written down as sawn are back on the rack.',
          }),
        );
      })
      .catch((error) => setSaid(sentencesOf(error).join(' ')))
      .finally(() => setBack(null));
  return (
    <section aria-label="When it is sawn" className="mb-4">
      <Button disabled={!ready} onClick={saw}>
        These boards are sawn
      </Button>
      <p className="mt-1 text-xs text-quiet">
        Takes {gone.length} {gone.length === 1 ? 'board' : 'boards'} out of those on hand and puts{' '}
        {offcuts.length} {offcuts.length === 1 ? 'offcut' : 'offcuts'} in.
      </p>
      <p role="status" className="text-sm">
        {said}
      </p>
      {back && <Button onClick={() => putBack(back)}>Put the boards back</Button>}
    </section>
  );
}

/** A board as the journal has it. */
const noted = ({ wood, lengthMm, widthMm, thicknessMm, note }: Board) => ({
  wood,
  lengthMm,
  widthMm,
  thicknessMm,
  note,
});
