import { edit, PROFILE_FORMATS, sentenceIn, writeProfile } from '@fellside/core';
import { useRef } from 'react';
import { editPiece, refusedEntry } from '../store/edits.js';
import { projectOf, unitsOf } from '../store/house.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Group } from '../ui/Group.js';
import { saveFile } from '../ui/saveFile.js';
import { useReading } from '../workers/useReading.js';

const TYPES = { svg: 'image/svg+xml', dxf: 'image/vnd.dxf', csv: 'text/csv' } as const;

/** The outside to and from files: SVG path, DXF polyline, CSV of radius and height. */
export function ProfileFiles() {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const form = useApp((state) => projectOf(state).form);
  const name = useApp((state) => projectOf(state).name);
  const chooser = useRef<HTMLInputElement>(null);
  const { read, busy } = useReading();
  const take = async (file: File | undefined) => {
    if (!file) return;
    const points = await read('readProfile', [await file.text(), file.name, units]);
    if (points.ok) dispatch(editPiece(edit.setProfile(points.value)));
    else dispatch(refusedEntry(sentenceIn(points.reasons[0]!.message, units)));
  };
  return (
    <Group title="Outside to and from files" folded>
      <div className="flex flex-wrap gap-2">
        {PROFILE_FORMATS.map((format) => (
          <Button
            key={format}
            aria-label={`Save the outside as ${format.toUpperCase()}`}
            onClick={() =>
              saveFile(`${name} profile.${format}`, TYPES[format], writeProfile(form.points, format, units))
            }
          >
            {format.toUpperCase()}
          </Button>
        ))}
        <Button onClick={() => chooser.current?.click()}>Open a file…</Button>
        {busy}
      </div>
      <p className="mt-1 text-xs text-quiet">The axis is at x = 0; heights from the lowest point.</p>
      <input
        ref={chooser}
        type="file"
        aria-label="Outside from an SVG, DXF or CSV file"
        accept=".svg,.dxf,.csv,.txt"
        className="hidden"
        onChange={async (event) => {
          const { files } = event.target;
          await take(files?.[0]);
          event.target.value = '';
        }}
      />
    </Group>
  );
}
