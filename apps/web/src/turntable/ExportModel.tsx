import type { RingMesh } from '@fellside/core';
import type { RefObject } from 'react';
import { ExportMenu } from '../pictures/ExportMenu.js';
import { paletteOf, preparedOf, projectOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { saveBlob } from '../ui/saveFile.js';
import { type ModelFormat, modelFile } from './model.js';
import type { TakePicture } from './Scene.js';

interface ExportModelProps {
  readonly made: readonly (RingMesh | null)[] | null;
  readonly take: RefObject<TakePicture | null>;
}

/** The piece as a model for other programs, and the turntable as a picture. */
export function ExportModel({ made, take }: ExportModelProps) {
  const prepared = useApp(preparedOf);
  const palette = useApp(paletteOf);
  const { name } = useApp(projectOf);
  const save = (format: ModelFormat, turned: boolean) => async () => {
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
      }}
    />
  );
}
