import {
  elevationPicture,
  type FinishId,
  finishedPalette,
  type Project,
  prepare,
  type Species,
} from '@fellside/core';
import { encode } from 'fast-png';

/** Pixels of a drawing's larger side: a little more than the shelf shows of the largest piece. */
const MOST = 380;

export interface DrawAsk {
  readonly project: Project;
  readonly woods: readonly Species[];
  /** What the shop usually finishes with; a piece that says so itself has its own. */
  readonly usual: FinishId;
}

/** The elevation of a piece as PNG; null where its form cannot be. */
export function drawn({ project, woods, usual }: DrawAsk): Uint8Array | null {
  const prepared = prepare(project);
  if (!prepared.ok) return null;
  const palette = finishedPalette(project.palette, woods, project.finish ?? usual);
  const { width, height, rgba } = elevationPicture(prepared.value, palette, MOST);
  return encode({ width, height, data: rgba, channels: 4, depth: 8 });
}
