import { type Mm, mm } from '../measure/quantity.js';
import { type Said, say, sayMm } from '../measure/said.js';
import { nextStep } from '../measure/step.js';
import type { Shop } from '../settings/shop.js';

/** How wood is planed before it is glued: what is sanded off the faces later, in all, and the step that a planer is set in (mm). */
export interface Planing {
  readonly sandedMm: number;
  readonly stepMm: number;
}

/** What a shop planes to where so many faces of the glued ring are sanded. */
export const planingOf = (
  { faceSandingMm, ripStepMm }: Pick<Shop, 'faceSandingMm' | 'ripStepMm'>,
  faces: number,
): Planing => ({ sandedMm: faces * faceSandingMm, stepMm: ripStepMm });

/**
 * Thickness that wood is planed to so that so much of it is left: what is sanded off with it, up to the next full step. Wood
 * that is not sanded stays as thick as it has to be.
 */
export const planedThickness = (thickMm: number, { sandedMm, stepMm }: Planing): Mm =>
  mm(sandedMm > 0 ? nextStep(thickMm + sandedMm, stepMm) : thickMm);

/** Thickness that strips are planed to for a ring of which so many faces are sanded; a layer within a strip has none of them. */
export const planedStrip = (
  { thicknessMm, mostFacesSanded = 2 }: { readonly thicknessMm: number; readonly mostFacesSanded?: number },
  shop: Pick<Shop, 'faceSandingMm' | 'ripStepMm'>,
  faces: number,
): Mm => planedThickness(thicknessMm, planingOf(shop, Math.min(faces, mostFacesSanded)));

/** The same in words. */
export function planedTo(thickMm: number, planing: Planing): Said {
  const planed = planedThickness(thickMm, planing);
  return planed > thickMm
    ? say`${sayMm(planed, 'thickness')} (${sayMm(thickMm)} and ${sayMm(planed - thickMm)} that is sanded off)`
    : say`${sayMm(planed, 'thickness')}`;
}

/** Wood that is planed exactly as thick as it has to be. */
export const UNSANDED: Planing = { sandedMm: 0, stepMm: 0 };
