import { type Plan, type Project, placesOf, type Result, refuse } from '@fellside/core';
import { type Action, type ActionCreatorWithPayload, createAction, createSelector } from '@reduxjs/toolkit';
import { canPlanBeside } from '../workers/planning.js';

/**
 * Places of rings, bands and blanks up to which a piece is planned where it is drawn: the largest of the show has a fifth
 * of them, and such a plan takes less than a fifth of a second.
 */
const PLANNED_HERE = 5000;
/** Slanted bands divide everything: each counts as so many places. */
const BAND = 800;

const weightOf = createSelector(
  [
    (project: Project) => project.rings,
    (project: Project) => project.blanks,
    (project: Project) => project.slants,
  ],
  (rings, blanks = [], slants = []) =>
    rings.reduce((sum, { making }) => sum + placesOf(making), 0) +
    blanks.reduce((sum, { woods }) => sum + woods.length, 0) +
    slants.length * BAND,
);

/** Whether a piece is so large that its plan is worked out beside the page. */
export const isLarge = (project: Project): boolean => canPlanBeside() && weightOf(project) > PLANNED_HERE;

export interface Planned {
  /** The document that was planned; what it is now may be a later one. */
  readonly of: Project | null;
  readonly plan: Result<Plan>;
}

const WORKING: Result<Plan> = refuse('web:planning', '', 'The plan of this large piece is being worked out.');

/** What was worked out beside the page. */
export const planTold: ActionCreatorWithPayload<Planned> = createAction<Planned>('planned/told');

export const plannedReducer = (state: Planned = { of: null, plan: WORKING }, action: Action): Planned =>
  planTold.match(action) ? action.payload : state;

/** The last plan of a large piece, as long as it speaks of as many rings; then the next one is waited for. */
export const plannedFor = ({ of, plan }: Planned, project: Project): Result<Plan> =>
  of && of.rings.length === project.rings.length && of.blanks?.length === project.blanks?.length
    ? plan
    : WORKING;
