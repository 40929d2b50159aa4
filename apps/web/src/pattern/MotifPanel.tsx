import { begunFor, edit, MOTIFS, motifOf, segmentsOf } from '@fellside/core';
import { useTargets } from '../rings/targets.js';
import { editPiece } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { selectRings } from '../store/selection.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { Group } from '../ui/Group.js';
import { MotifEditor } from './MotifEditor.js';
import { MotifPicture } from './MotifPicture.js';
import { ringsName } from './ringsName.js';

/** Motifs to lay over the selected rings, and those that lie there. */
export function MotifPanel() {
  const dispatch = useActions();
  const motifs = useApp((state) => projectOf(state).motifs);
  const rings = useApp((state) => projectOf(state).rings);
  const { selected, targets } = useTargets();
  const here = motifs.filter(({ id }) => targets.some((index) => rings[index]!.motif === id));
  const elsewhere = motifs.filter((motif) => !here.includes(motif));
  const counts = targets.map((ring) => segmentsOf(rings[ring]!.making)).filter((count) => count !== null);
  const over = selected.length === 0 ? 'all rings' : ringsName(targets);
  return (
    <>
      {here.map(({ id, use }) => {
        const members = rings.flatMap(({ motif }, index) => (motif === id ? [index] : []));
        return <MotifEditor key={id} {...{ id, use, members }} />;
      })}
      {elsewhere.length > 0 && (
        <Group title="Motifs on other rings">
          <ul>
            {elsewhere.map(({ id, use }) => {
              const members = rings.flatMap(({ motif }, index) => (motif === id ? [index] : []));
              return (
                <li key={id}>
                  <button
                    type="button"
                    className="text-teal underline"
                    onClick={() => dispatch(selectRings(members))}
                  >
                    {motifOf(use.kind)!.name}, {ringsName(members)}
                  </button>
                </li>
              );
            })}
          </ul>
        </Group>
      )}
      <Group title={`Lay a motif over ${over}`}>
        {selected.length > 0 && (
          <button
            type="button"
            className="mb-1.5 text-sm text-teal underline"
            onClick={() => dispatch(session.selected([]))}
          >
            Over all rings instead
          </button>
        )}
        <ul className="grid grid-cols-3 gap-1.5" aria-label="Motifs">
          {MOTIFS.map((motif) => (
            <li key={motif.kind}>
              <button
                type="button"
                title={motif.says}
                onClick={() => dispatch(editPiece(edit.layMotif(targets, begunFor(motif, counts))))}
                className="flex w-full flex-col items-stretch gap-0.5 rounded border border-line bg-raised p-1 text-left text-xs hover:border-teal"
              >
                <MotifPicture motif={motif} />
                <span className="min-w-0 hyphens-auto wrap-anywhere leading-tight">{motif.name}</span>
              </button>
            </li>
          ))}
        </ul>
      </Group>
    </>
  );
}
