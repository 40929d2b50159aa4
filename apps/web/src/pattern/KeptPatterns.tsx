import {
  type Block,
  edit,
  motifOf,
  type Pattern,
  type Said,
  sayList,
  writePatternFile,
} from '@fellside/core';
import { type ChangeEvent, useRef } from 'react';
import { useTargets } from '../rings/targets.js';
import { api, sentencesOf } from '../store/api.js';
import { editPiece, refusedEntry } from '../store/edits.js';
import { useActions } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Group } from '../ui/Group.js';
import { saveFile } from '../ui/saveFile.js';
import { useReading } from '../workers/useReading.js';
import { pasteBlock } from './blocks.js';
import { ringsName } from './ringsName.js';

/** Motifs and blocks kept for any piece: use them, write them to a file, read one in. */
export function KeptPatterns() {
  const reading = useReading();
  const dispatch = useActions();
  const { data: kept = [] } = api.usePatternsQuery();
  const [keep] = api.useKeepPatternMutation();
  const [remove] = api.useRemovePatternMutation();
  const { targets } = useTargets();
  const chooser = useRef<HTMLInputElement>(null);
  const use = (pattern: Pattern) =>
    dispatch(
      pattern.holds === 'motif'
        ? editPiece(edit.layMotif(targets, pattern.motif))
        : pasteBlock(pattern.block, `Lay “${pattern.name.slice(0, 60)}”`),
    );
  const read = async ({ target }: ChangeEvent<HTMLInputElement>) => {
    const file = target.files?.[0];
    target.value = '';
    if (!file) return;
    const pattern = await reading.read('readPatternFile', [await file.text()]);
    const said = (sentences: readonly Said[]) => dispatch(refusedEntry(sayList(sentences, ' ')));
    if (!pattern.ok) return void said(pattern.reasons.map(({ message }) => message));
    const answer = await keep(pattern.value);
    if (answer.error) said(sentencesOf(answer.error));
  };
  return (
    <Group title="Kept patterns" folded>
      {reading.busy}
      {kept.length === 0 ? (
        <p className="text-sm text-quiet">
          None yet. “Keep…” at a motif or a copied block puts it here, for every piece.
        </p>
      ) : (
        <ul>
          {kept.map(({ id, pattern }) => (
            <li
              key={id}
              className="flex flex-wrap items-center gap-1.5 border-b border-line py-1 last:border-0"
            >
              <span className="min-w-0 flex-1">
                <b className="block truncate">{pattern.name}</b>
                <span className="text-xs text-quiet">{describe(pattern)}</span>
              </span>
              <Button onClick={() => use(pattern)}>
                {pattern.holds === 'motif' ? `Over ${ringsName(targets)}` : 'Paste here'}
              </Button>
              <Button
                onClick={() =>
                  saveFile(`${pattern.name}.pattern.json`, 'application/json', writePatternFile(pattern))
                }
              >
                File
              </Button>
              <Button
                className="px-2!"
                aria-label={`Throw away ${pattern.name}`}
                onClick={() => void remove(id)}
              >
                ×
              </Button>
            </li>
          ))}
        </ul>
      )}
      <Button className="mt-2" onClick={() => chooser.current?.click()}>
        From a file…
      </Button>
      <input
        ref={chooser}
        type="file"
        accept="application/json,.json"
        aria-label="Pattern file to read"
        className="hidden"
        onChange={read}
      />
    </Group>
  );
}

const describe = (pattern: Pattern): string =>
  pattern.holds === 'motif' ? `motif: ${motifOf(pattern.motif.kind)!.name}` : sizeOf(pattern.block);

const sizeOf = ({ rows, widthTurns }: Block): string =>
  `block: ${rows.length} ${rows.length === 1 ? 'ring' : 'rings'}, ${Math.round(widthTurns * 360)}° round`;
