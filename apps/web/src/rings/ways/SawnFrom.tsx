import { type SawnFrom, sourceBegun } from '@fellside/core';
import type { ComponentType } from 'react';
import { Choice } from '../../ui/Choice.js';
import { shared } from '../targets.js';
import { IllusionControls } from './Illusion.js';
import { InlaidControls } from './Inlaid.js';
import { LaminatedControls } from './Laminated.js';
import { LayeredControls } from './Layered.js';
import { LetteredControls } from './Lettered.js';
import { type ControlsProps, useParams } from './params.js';

type Is = SawnFrom['is'] | 'one-wood';

const SOURCES: readonly (readonly [Is, string])[] = [
  ['one-wood', 'one wood'],
  ['layers', 'a board of layers'],
  ['laminated', 'a laminated board'],
  ['plugs', 'a face with plugs'],
  ['letters', 'a face with letters'],
  ['illusion', 'a face that looks solid'],
];

const CONTROLS: Readonly<Record<SawnFrom['is'], ComponentType<ControlsProps>>> = {
  layers: LayeredControls,
  laminated: LaminatedControls,
  plugs: InlaidControls,
  letters: LetteredControls,
  illusion: IllusionControls,
};

/** What a segment is sawn from, and what is set of it. */
export function SawnFromControls({ targets }: ControlsProps) {
  const { all, set } = useParams('segmented', targets);
  const is = shared(all.map(({ sawnFrom }): Is => sawnFrom?.is ?? 'one-wood'));
  const Controls = is === null || is === 'one-wood' ? null : CONTROLS[is];
  return (
    <>
      <Choice
        label="A segment is sawn from"
        className="w-48"
        value={is}
        options={SOURCES}
        onChange={(next) =>
          set({ sawnFrom: next === 'one-wood' ? undefined : sourceBegun(next, all[0]!.count) })
        }
      />
      {Controls && <Controls targets={targets} />}
    </>
  );
}
