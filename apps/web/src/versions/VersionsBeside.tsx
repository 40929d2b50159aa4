import { changesBetween, formatLength, mm, type Project, sentenceIn } from '@fellside/core';
import { drawingUrl } from '../store/api.js';
import { unitsOf, usualFinishOf } from '../store/house.js';
import { useApp } from '../store/store.js';

/** A state of the piece: when, drawn at a revision, and what it is. */
export interface Looked {
  readonly title: string;
  readonly revision: number;
  readonly document: Project;
}

/** Two states of a piece side by side, the earlier first, and what changed from the one to the other. */
export function VersionsBeside({ id, earlier, later }: { id: string; earlier: Looked; later: Looked }) {
  const units = useApp(unitsOf);
  const since = changesBetween(earlier.document, later.document).map((sentence) =>
    sentenceIn(sentence, units),
  );
  return (
    <>
      <div className="grid gap-6 sm:grid-cols-2">
        <Look id={id} {...earlier} />
        <Look id={id} {...later} />
      </div>
      <section aria-label="What changed">
        <h3 className="mb-1 font-semibold">Changed from the one to the other</h3>
        {since.length === 0 ? (
          <p className="text-quiet">Nothing.</p>
        ) : (
          <ul className="max-w-prose list-disc pl-5">
            {since.map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
          </ul>
        )}
      </section>
    </>
  );
}

function Look({ id, title, revision, document }: Looked & { id: string }) {
  const units = useApp(unitsOf);
  const usual = useApp(usualFinishOf);
  const { name, form, rings, palette } = document;
  const widest = 2 * Math.max(...form.points.map(({ radiusMm }) => radiusMm));
  return (
    <figure className="min-w-0">
      <img
        src={drawingUrl({ id, revision }, usual)}
        alt={`${name}, ${title}, seen from the front`}
        className="mb-2 h-[42vh] w-full rounded bg-raised object-contain p-4"
      />
      <figcaption>
        <b>{title}</b>
        <span className="block">
          {formatLength(mm(form.points.at(-1)!.heightMm), units)} high, {formatLength(mm(widest), units)}{' '}
          wide, {rings.length} {rings.length === 1 ? 'ring' : 'rings'}, {palette.length}{' '}
          {palette.length === 1 ? 'wood' : 'woods'}
        </span>
      </figcaption>
    </figure>
  );
}
