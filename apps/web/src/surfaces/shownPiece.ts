import type { Prepared, Result } from '@fellside/core';
import { createContext, useContext } from 'react';
import { preparedOf } from '../store/selectors.js';
import { shapeOf } from '../store/shape.js';
import { useApp } from '../store/store.js';
import type { Shape } from '../workers/geometry.js';

/** A piece that is shown in place of the open one: as one build of it would come out. */
export interface ShownPiece {
  readonly shape: Shape;
  readonly prepared: Result<Prepared>;
}

/** What walls and turntables below show; the open piece where there is none. */
export const ShownInstead = createContext<ShownPiece | null>(null);

export const useShape = (): Shape => {
  const open = useApp(shapeOf);
  return useContext(ShownInstead)?.shape ?? open;
};

export const usePrepared = (): Result<Prepared> => {
  const open = useApp(preparedOf);
  return useContext(ShownInstead)?.prepared ?? open;
};
