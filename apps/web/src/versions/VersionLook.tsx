import { changesBetween, formatLength, mm, type Project, sentenceIn } from '@fellside/core';
import { drawingUrl } from '../store/api.js';
import { projectOf, unitsOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';

/** An earlier version drawn, its sizes, and how the piece now differs from it. */
export function VersionLook({ id, revision, document }: { id: string; revision: number; document: Project }) {
  const units = useApp(unitsOf);
  const since = changesBetween(document, useApp(projectOf)).map((sentence) => sentenceIn(sentence, units));
  const { form, rings } = document;
  const widest = 2 * Math.max(...form.points.map(({ radiusMm }) => radiusMm));
  return (
    <div className="flex flex-wrap gap-8">
      <img
        src={drawingUrl({ id, revision })}
        alt={`${document.name}, seen from the front`}
        className="max-h-[52vh] max-w-full rounded bg-raised object-contain p-6"
      />
      <div className="max-w-prose min-w-64 flex-1">
        <p className="font-semibold">{document.name}</p>
        <p className="mb-4">
          {formatLength(mm(form.points.at(-1)!.heightMm), units)} high, {formatLength(mm(widest), units)}{' '}
          wide, {rings.length} {rings.length === 1 ? 'ring' : 'rings'}
        </p>
        <h3 className="mb-1 font-semibold">Changed since then</h3>
        {since.length === 0 ? (
          <p className="text-quiet">Nothing.</p>
        ) : (
          <ul className="list-disc pl-5">
            {since.map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
          </ul>
        )}
      </div>
    </div>
  );
}
