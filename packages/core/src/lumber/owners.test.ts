import { expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { layerName } from '../exchange/drawing.js';
import { planFile } from '../exchange/planFile.js';
import { mm } from '../measure/quantity.js';
import * as edit from '../project/commands/edits.js';
import { plan } from '../project/plan.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { after, planned } from '../testing/pieces.js';
import { ownerName } from './owners.js';

test('lists count rings, then blanks, then slanted bands, and say so by name', () => {
  const rings = { length: 12 };
  expect([0, 11].map((index) => ownerName({ rings }, index))).toEqual(['ring 1', 'ring 12']);
  const blanks = { length: 2 };
  expect([12, 13, 14].map((index) => ownerName({ rings, blanks }, index))).toEqual([
    'blank 1',
    'blank 2',
    'slanted band 1',
  ]);
});

test('a blank and a band that no lumber is thick enough for are told by their own names', () => {
  const vase = demoProjects().find(({ slants }) => slants)!;
  const thick = after(
    vase,
    edit.setSlant(1, { thicknessMm: mm(60), slantDeg: 0 }),
    edit.addBlank('globe', 'g'),
  );
  const made = plan(thick, { ...DEFAULT_SHOP, stripLengthMm: mm(110), holdBackMm: mm(100) });
  if (!made.ok) throw new Error('plan');
  const said = made.value.lumber.reasons.map(({ message }) => message).join(' ');
  expect(said).not.toMatch(new RegExp(`ring ${vase.rings.length + 1}\\b`, 'i'));
  expect(planned(thick).slants[1]!.ring).toBe(vase.rings.length + 1 + 1);
});

test('layers have names that every reader takes; the plan carries its format and version', () => {
  expect(layerName('Hard maple 19.05 mm')).toBe('HARD-MAPLE-19-05-MM');
  expect(layerName('—')).toBe('LAYER');
  const { format, version, rings } = JSON.parse(planFile(planned(demoProjects()[0]!)));
  expect([format, version, rings.length]).toEqual(['fellside-plan', 1, 15]);
});
