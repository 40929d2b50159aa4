import { expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { layerName } from '../exchange/drawing.js';
import { planFile } from '../exchange/planFile.js';
import { mm } from '../measure/quantity.js';
import * as edit from '../project/commands/edits.js';
import { plan } from '../project/plan.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { after, planned } from '../testing/pieces.js';
import { bandOwner, blankOwner, ringOwner, rollOf } from './owner.js';

test('a roll names who is there in the order of the work, finds them by address, and knows who is gone', () => {
  const rings = Array.from({ length: 12 }, (_, i) => ({ id: `r${i}` }));
  const roll = rollOf({ rings, slants: [{ id: 'a' }], blanks: [{ id: 'a' }, { id: 'b' }] });
  const some = [ringOwner('r0'), ringOwner('r11'), bandOwner('a'), blankOwner('a'), blankOwner('b')];
  expect(some.map(roll.nameOf)).toEqual(['ring 1', 'ring 12', 'slanted band 1', 'blank 1', 'blank 2']);
  expect(some.map(roll.titleOf).slice(2)).toEqual(['Slanted band 1', 'Blank 1', 'Blank 2']);
  expect(some.map(roll.indexOf)).toEqual([0, 11, 12, 13, 14]);
  expect(some.map((owner) => roll.ownerAt(`${roll.pathOf(owner)}.heightMm`))).toEqual(some);
  expect([roll.indexOf(ringOwner('x')), roll.nameOf(ringOwner('x')), roll.ownerAt('rings.12')]).toEqual([
    -1,
    'a part that is gone',
    null,
  ]);
});

test('a blank and a band that no lumber is thick enough for are told by their own names', () => {
  const vase = demoProjects().find(({ slants }) => slants)!;
  const thick = after(
    vase,
    edit.setSlant(1, { thicknessMm: mm(60), slantDeg: 0 }),
    edit.addBlank('globe', 'g'),
  );
  const made = plan(thick, { ...DEFAULT_SHOP, faceSandingMm: mm(10) });
  if (!made.ok) throw new Error('plan');
  const said = made.value.lumber.reasons.map(({ message }) => message).join(' ');
  expect(said).not.toMatch(new RegExp(`ring ${vase.rings.length + 1}\\b`, 'i'));
  expect(planned(thick).slants[1]!.pieces[0]!.owner).toEqual(bandOwner(vase.slants![1]!.id));
});

test('layers have names that every reader takes; the plan carries its format and version', () => {
  expect(layerName('Hard maple 19.05 mm')).toBe('HARD-MAPLE-19-05-MM');
  expect(layerName('—')).toBe('LAYER');
  const { format, version, rings } = JSON.parse(planFile(planned(demoProjects()[0]!)));
  expect([format, version, rings.length]).toEqual(['fellside-plan', 3, 15]);
});
