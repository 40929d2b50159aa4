import { type Plan, type Project, type Result, refuse } from '@fellside/core';
import { type Action, type ActionCreatorWithPayload, createAction } from '@reduxjs/toolkit';

export interface Planned {
  /** The document that was planned; what it is now may be a later one. */
  readonly of: Project | null;
  /** The document as it stood before the gesture that the planned one belongs to; itself where none ran. */
  readonly from: Project | null;
  readonly plan: Result<Plan>;
}

export const WORKING: Result<Plan> = refuse(
  'web:planning',
  '',
  'The plan of this large piece is being worked out.',
);

/** What was worked out beside the page. */
export const planTold: ActionCreatorWithPayload<Planned> = createAction<Planned>('planned/told');

export const plannedReducer = (
  state: Planned = { of: null, from: null, plan: WORKING },
  action: Action,
): Planned => (planTold.match(action) ? action.payload : state);
