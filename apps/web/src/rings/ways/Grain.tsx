import { mm, type ParamsOf } from '@fellside/core';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { type ControlsProps, useParams } from './params.js';

type Match = ParamsOf<'grain'>['match'];

const BEGIN: Record<Match['by'], Match> = {
  run: { by: 'run' },
  book: { by: 'book', kerfMm: mm(1.5875), cleanUpMm: mm(1.5875) },
};

/** Segments one after the other along the strip, or a half-ring opened like a book. */
export function GrainControls({ targets }: ControlsProps) {
  const { all, common, set } = useParams('grain', targets);
  const { match } = all[0]!;
  return (
    <>
      <Choice
        label="Figure runs on"
        className="w-56"
        value={common((params) => params.match.by)}
        options={[
          ['run', 'along the strip, one joint apart'],
          ['book', 'like a book: two leaves of one half'],
        ]}
        onChange={(by) => set({ match: BEGIN[by] })}
      />
      {match.by === 'book' && (
        <>
          <LengthField
            label="Resaw kerf"
            className="w-24"
            value={common((params) => (params.match.by === 'book' ? params.match.kerfMm : null))}
            onChange={(kerfMm) => set({ match: { ...match, kerfMm } })}
          />
          <LengthField
            label="Clean-up in all"
            className="w-24"
            value={common((params) => (params.match.by === 'book' ? params.match.cleanUpMm : null))}
            onChange={(cleanUpMm) => set({ match: { ...match, cleanUpMm } })}
          />
        </>
      )}
    </>
  );
}
