import { PAPERS, type Paper, wallPages, wallSvg } from '@fellside/core';
import { useState } from 'react';
import { refusedEntry } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { paletteOf, preparedOf } from '../store/selectors.js';
import { shapeOf } from '../store/shape.js';
import { useActions, useApp } from '../store/store.js';
import { drawRound, standingAt } from '../surfaces/draw.js';
import { inksOf } from '../surfaces/inks.js';
import { Choice } from '../ui/Choice.js';
import { saveBlob, saveFile } from '../ui/saveFile.js';
import type { SectionRef } from './drawnSection.js';
import { ExportMenu, TOO_LARGE } from './ExportMenu.js';
import { asPng, outsidePicture, pictureOf, type Size, unrolledPicture, wallFor } from './pictures.js';
import { drawSvg } from './svgPicture.js';
import { zipped } from './zip.js';

const PANES = [
  ['outside', 'Outside, from the front'],
  ['unrolled', 'Wall, unrolled'],
  ['inside', 'Inside of the wall, unrolled'],
  ['section', 'Cut through and outside, as shown'],
] as const;
type Pane = (typeof PANES)[number][0];

/** Pictures of the bench's panes, and the unrolled wall at full size. */
export function BenchExports({ section }: { section: SectionRef }) {
  const prepared = useApp(preparedOf);
  const palette = useApp(paletteOf);
  const name = useApp((state) => projectOf(state).name);
  const shape = useApp(shapeOf);
  const hatched = useApp((state) => state.session.hatched);
  const view = useApp((state) => state.session.view);
  const dispatch = useActions();
  const [pane, setPane] = useState<Pane>('outside');
  const [paper, setPaper] = useState<Paper>('a4');
  if (!prepared.ok) return null;
  const piece = prepared.value;

  const canvasOf = async (size: Size): Promise<HTMLCanvasElement | null> => {
    const inks = inksOf(piece, palette);
    const wall = await wallFor(shape, pane === 'inside' ? 'inside' : 'outside', size);
    if (!wall) return null;
    if (pane === 'outside') return outsidePicture(wall, inks, hatched, piece, view, size);
    if (pane !== 'section') return unrolledPicture(wall, inks, hatched, size);
    if (!section.current) return null;
    const { svg, axisX, footY, scale } = section.current;
    const box = svg.getBoundingClientRect();
    const share = size.width / box.width;
    const fit = { ...size, height: Math.round(box.height * share) };
    const canvas = await pictureOf(fit, (pixels) => {
      const upward = standingAt(footY * share, scale * share);
      const front = {
        axisX: axisX * share,
        scale: scale * share,
        view,
        from: axisX * share,
      };
      drawRound(pixels, wall, inks, upward, hatched, front);
    });
    await drawSvg(svg, canvas);
    return canvas;
  };

  const picture = async (size: Size) => {
    const canvas = await canvasOf(size);
    const blob = canvas && (await asPng(canvas));
    if (blob) saveBlob(`${name}, ${pane}.png`, blob);
    else dispatch(refusedEntry(TOO_LARGE));
  };

  return (
    <ExportMenu
      picture={picture}
      above={<Choice label="Pane" className="mb-2 w-full" value={pane} options={PANES} onChange={setPane} />}
      items={[
        [
          'Wall, unrolled, full size, SVG',
          () => saveFile(`${name}, wall.svg`, 'image/svg+xml', wallSvg(piece, palette, name)),
        ],
        [
          `The same on pages of ${PAPERS[paper].name}, ZIP`,
          () =>
            saveBlob(
              `${name}, wall on ${PAPERS[paper].name}.zip`,
              zipped(wallPages(piece, palette, name, paper)),
            ),
        ],
      ]}
      below={
        <Choice
          label="Paper"
          className="mt-1 w-full"
          value={paper}
          options={Object.entries(PAPERS).map(([id, { name }]) => [id as Paper, name] as const)}
          onChange={setPaper}
        />
      }
    />
  );
}
