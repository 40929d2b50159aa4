import { sentenceIn } from '@fellside/core';
import { useState } from 'react';
import { Elevation } from '../pictures/Elevation.js';
import { api, drawingUrl, type ListedVersion, NO_ANSWER } from '../store/api.js';
import { unitsOf, usualFinishOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { ageOf, momentOf } from '../ui/times.js';
import { VersionShown } from './VersionShown.js';

/** Earlier versions of the open piece: when, what changed, how it looked; to take back or keep as a copy. */
export function VersionsPage() {
  const id = useApp((state) => state.piece.id)!;
  const revision = useApp((state) => state.piece.revision);
  const { data: versions, isError } = api.useVersionsQuery(id, { refetchOnMountOrArgChange: true });
  const [chosen, setChosen] = useState<number | null>(null);
  const shown = versions?.find((version) => version.revision === (chosen ?? revision)) ?? versions?.[0];
  return (
    <div className="flex min-h-0 flex-1 flex-col overflow-auto lg:flex-row lg:overflow-hidden">
      <section
        aria-label="Earlier versions"
        className="max-h-[45vh] w-full shrink-0 overflow-auto border-line p-4 max-lg:border-b lg:max-h-none lg:w-96 lg:border-r"
      >
        <h2 className="mb-1 text-lg font-semibold">Earlier versions</h2>
        <p className="mb-3 text-sm text-quiet">
          The newest saves, and the last of every hour and day before. Taking one back is an edit like any
          other: it can be undone.
        </p>
        {isError && <p role="alert">{NO_ANSWER}</p>}
        <ol>
          {versions?.map((version) => (
            <Version
              key={version.revision}
              version={version}
              now={version.revision === revision}
              chosen={version.revision === shown?.revision}
              onChoose={() => setChosen(version.revision)}
            />
          ))}
        </ol>
      </section>
      {shown && (
        <VersionShown key={shown.revision} id={id} version={shown} now={revision} all={versions ?? []} />
      )}
    </div>
  );
}

function Version({
  version: { revision, savedAt, changes },
  now,
  chosen,
  onChoose,
}: {
  version: ListedVersion;
  now: boolean;
  chosen: boolean;
  onChoose: () => void;
}) {
  const units = useApp(unitsOf);
  const usual = useApp(usualFinishOf);
  const id = useApp((state) => state.piece.id)!;
  const words = (changes ?? []).map((sentence) => sentenceIn(sentence, units));
  return (
    <li>
      <button
        type="button"
        aria-pressed={chosen}
        onClick={onChoose}
        className="flex min-h-14 w-full items-center gap-3 border-b border-line px-2 py-1.5 text-left aria-pressed:bg-teal-wash hover:bg-raised"
      >
        <Elevation url={drawingUrl({ id, revision }, usual)} className="h-11 w-11 shrink-0 object-contain" />
        <span className="min-w-0 flex-1">
          <span className="flex justify-between gap-2">
            <b>{now ? 'Now' : ageOf(savedAt)}</b>
            <span className="text-sm text-quiet">{momentOf(savedAt)}</span>
          </span>
          <span className="line-clamp-2 text-sm">
            {words.join(' ') ||
              (changes === null ? 'The oldest that is kept.' : 'Nothing changed in the piece.')}
          </span>
        </span>
      </button>
    </li>
  );
}
