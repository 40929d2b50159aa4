import { edit, type ParamsOf, type Result, type SawnFrom, type Way } from '@fellside/core';
import { editPiece } from '../../store/edits.js';
import { projectOf } from '../../store/house.js';
import { useActions, useApp } from '../../store/store.js';
import { shared } from '../targets.js';

/** The rings that controls of a way are about, by index; all are made in that way. */
export interface ControlsProps {
  readonly targets: readonly number[];
}

export interface Params<W extends Way> {
  readonly all: readonly ParamsOf<W>[];
  /** The value that all have; null where they differ. */
  common<T>(of: (params: ParamsOf<W>) => T): T | null;
  set(change: { readonly [K in keyof ParamsOf<W>]?: ParamsOf<W>[K] | undefined }): Result<unknown>;
}

/** Parameters of rings that are made in one way, and how they are changed. */
export function useParams<W extends Way>(way: W, targets: readonly number[]): Params<W> {
  const dispatch = useActions();
  const rings = useApp((state) => projectOf(state).rings);
  const all = targets.flatMap((index) => {
    const making = rings[index]?.making;
    return making?.way === way ? [making as ParamsOf<W>] : [];
  });
  return {
    all,
    common: (of) => shared(all.map(of)),
    set: (change) => dispatch(editPiece(edit.setParams(targets, way, change))),
  };
}

type SourceOf<I extends SawnFrom['is']> = Extract<SawnFrom, { is: I }>;

/** What segments of rings are sawn from, all of one sort, and how it is changed. */
export function useSource<I extends SawnFrom['is']>(is: I, targets: readonly number[]) {
  const dispatch = useActions();
  const rings = useParams('segmented', targets);
  const all = rings.all.flatMap(({ sawnFrom }) => (sawnFrom?.is === is ? [sawnFrom as SourceOf<I>] : []));
  return {
    all,
    /** Segments of the first ring. */
    count: rings.all[0]!.count,
    common: <T>(of: (params: SourceOf<I>) => T): T | null => shared(all.map(of)),
    set: (change: Parameters<typeof edit.setSource<I>>[2]): Result<unknown> =>
      dispatch(editPiece(edit.setSource(targets, is, change))),
  };
}
