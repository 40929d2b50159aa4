import { FINE_MESH } from '@fellside/core';
import type { RefObject } from 'react';
import { ExportMenu, TOO_LARGE } from '../pictures/ExportMenu.js';
import { refusedEntry } from '../store/edits.js';
import { paletteOf, preparedOf, projectOf } from '../store/selectors.js';
import { shapeOf } from '../store/shape.js';
import { useActions, useApp } from '../store/store.js';
import { saveBlob } from '../ui/saveFile.js';
import { geometryService } from '../workers/client.js';
import { type ModelFormat, modelFile } from './model.js';
import type { TakePicture } from './Scene.js';

interface ExportModelProps {
  readonly take: RefObject<TakePicture | null>;
}

/** The piece as a model for other programs, and the turntable as a picture. */
export function ExportModel({ take }: ExportModelProps) {
  const dispatch = useActions();
  const prepared = useApp(preparedOf);
  const palette = useApp(paletteOf);
  const name = useApp((state) => projectOf(state).name);
  const shape = useApp(shapeOf);
  const save = (format: ModelFormat, turned: boolean) => async () => {
    const made = await geometryService()?.meshes('model', shape, FINE_MESH);
    if (!made || !prepared.ok) return;
    const file = await modelFile(format, made, prepared.value, palette, turned);
    saveBlob(`${name}, ${turned ? 'turned' : 'blank'}.${format}`, file);
  };
  return (
    <ExportMenu
      items={[
        ['Turned piece, GLB', save('glb', true)],
        ['Turned piece, STL', save('stl', true)],
        ['Blank as glued, GLB', save('glb', false)],
        ['Blank as glued, STL', save('stl', false)],
      ]}
      picture={async ({ width, height }) => {
        const blob = await take.current?.(width, height);
        if (blob) saveBlob(`${name}, turntable.png`, blob);
        else dispatch(refusedEntry(TOO_LARGE));
      }}
    />
  );
}
