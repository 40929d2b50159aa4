import { type Plan, type Project, placesOf, type Result } from '@fellside/core';
import { createSelector } from '@reduxjs/toolkit';
import { type Planned, WORKING } from './planning.js';

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
export const isLarge = (project: Project): boolean => weightOf(project) > PLANNED_HERE;

/** Whether a plan speaks of as many rings and blanks as a document has: then it can be shown until the next one comes. */
const fits = ({ of }: Planned, project: Project): boolean =>
  of !== null && of.rings.length === project.rings.length && of.blanks?.length === project.blanks?.length;

/** The last plan of a large piece, as long as it fits; then the next one is waited for. */
export const plannedFor = (planned: Planned, project: Project): Result<Plan> =>
  fits(planned, project) ? planned.plan : WORKING;

/** The last plan that was worked out beside the page in the gesture that runs; null where there is none that fits. */
export const plannedAmid = (
  planned: Planned,
  project: Project,
  from: Project | undefined,
): Result<Plan> | null => (planned.from === from && fits(planned, project) ? planned.plan : null);
