import { describe, expect, test } from 'vitest';
import { frameAt } from '../inlay/frame.js';
import { copiesOf } from '../inlay/placed.js';
import type { Inlay } from '../inlay/schema.js';
import { mm } from '../measure/quantity.js';
import { plain } from '../measure/said.js';
import { cup, half, inlay, lies, vessel } from '../testing/inlays.js';
import { after, change, planned, refusal, spotted } from '../testing/pieces.js';
import * as edit from './commands/edits.js';
import { inspect, readProject } from './inspect.js';
import { mirrorImage } from './mirror.js';

describe('in the plan', () => {
  const seam = { widthMm: mm(1.5), wood: cup.palette[1]!.key };
  test('wood changes hands and none is lost; inserts and seams are counted, once for every copy', () => {
    const [was, is] = [planned(cup), planned(after(cup, edit.addInlay(inlay({ copies: 4, seam }))))];
    expect(is.woodMm3).toBeCloseTo(was.woodMm3, 3);
    expect(is.pieces - was.pieces).toBe(8);
    const own = is.rings.flatMap(({ pieces }) => pieces.filter(({ kind }) => /inlay/.test(plain(kind.name))));
    expect(own.map(({ kind, count }) => [plain(kind.name), count])).toEqual([
      ['inlay', 4],
      ['seam of the inlay', 4],
    ]);
    const strip = own[1]!.kind.stock;
    expect(strip.from === 'panel' && strip.lengthMm).toBeCloseTo(2 * (18 + 14), 0);
    expect(is.lumber.panels.length).toBe(was.lumber.panels.length + 2);
  });
  test('a patch and its twin: two, the second seen in a mirror', () => {
    const of = inlay({ copies: 2, mirrored: true, patch: true, tiltDeg: 20 });
    expect(copiesOf(of)).toEqual([
      { toward: Math.PI / 6, mirrored: false },
      { toward: Math.PI / 6 + Math.PI, mirrored: true },
    ]);
    const plan = planned(after(cup, edit.addInlay(of)));
    expect(plan.rings.flatMap(({ pieces }) => pieces).some(({ kind }) => kind.name === 'patch')).toBe(true);
  });
  test('what stands behind it, what it cuts through, gaps under it and others that it meets are told', () => {
    const deep = after(cup, edit.addInlay(inlay({ depthMm: mm(lies(inlay()).leftMm + 3 - 0.8) })));
    expect(spotted(planned(deep)).some((code) => code.startsWith('inlay-wall'))).toBe(true);
    const twice = after(
      cup,
      edit.addInlay(inlay()),
      edit.addInlay(inlay({ towardDeg: 35, id: 'i2' } as Partial<Inlay>)),
    );
    expect(planned(twice).checks.filter(({ code }) => code === 'inlays-meet')).toHaveLength(1);
    const many = after(cup, edit.addInlay(inlay({ copies: 40 })));
    expect(plain(planned(many).checks.find(({ code }) => code === 'inlays-meet')!.message)).toBe(
      'The copies of inlay 1 lie over each other.',
    );
    expect(
      planned(after(cup, edit.addInlay(inlay()))).checks.filter(({ code }) => code.startsWith('inlay')),
    ).toEqual([]);
  });
  test('a form that no longer takes it is told, and the inlay stays in the document', () => {
    const inlaid = after(cup, edit.addInlay(inlay({ heightMm: mm(vessel.heightMm - 9) })));
    const top = cup.form.points.length - 1;
    const lower = {
      ...inlaid,
      form: {
        ...inlaid.form,
        points: inlaid.form.points.map((p, i) => (i === top ? { ...p, heightMm: mm(p.heightMm - 6) } : p)),
      },
    };
    const told = planned(lower).checks.find(({ code }) => code === 'inlay-off')!;
    expect(plain(told.message)).toMatch(
      /^Inlay 1 cannot be let in any more\. The outline leaves the turned surface/,
    );
    expect(lower.inlays).toHaveLength(1);
  });
});

describe('edits', () => {
  test('are refused with their limits, and nothing is changed', () => {
    const wide = inlay({ outline: { shape: 'rectangle', widthMm: mm(60), heightMm: mm(5) } });
    expect(refusal(cup, edit.addInlay(wide))).toMatch(
      /runs out at its sides: .* at least [\d.]+ mm deep|leaves the turned surface/,
    );
    const through = inlay({ depthMm: mm(40) });
    expect(refusal(cup, edit.addInlay(through))).toMatch(/goes through the wall; it can be [\d.]+ mm deep/);
    const inlaid = after(cup, edit.addInlay(inlay()));
    expect(refusal(inlaid, edit.setInlay(0, { heightMm: mm(vessel.heightMm - 2) }))).toMatch(
      /leaves the turned surface/,
    );
    expect(refusal(inlaid, edit.setInlay(0, { heightMm: mm(vessel.heightMm + 1) }))).toMatch(
      /the piece is [\d.]+ mm high/,
    );
    // 14 high and upright: half a millimetre of it would stand over the lip.
    const lean = frameAt(vessel, vessel.heightMm - 6).up.z;
    expect(refusal(inlaid, edit.setInlay(0, { heightMm: mm(vessel.heightMm - 7 * lean + 0.5) }))).toMatch(
      /leaves the turned surface/,
    );
    expect(refusal(inlaid, edit.setInlay(0, { cutterMm: mm(20) }))).toMatch(/finer than a cutter of 20 mm/);
    expect(refusal(inlaid, edit.setInlay(0, { seam: { widthMm: mm(8), wood: 'x' } }))).toMatch(
      /fills the outline/,
    );
    expect(refusal(inlaid, edit.setInlay(0, { copies: 0 }))).toMatch(/Copies/);
  });
  test('go with the foot that is glued under it, with what is sawn off, and into the mirror', () => {
    const inlaid = after(cup, edit.addInlay(inlay()));
    const [wood] = cup.palette;
    expect(after(inlaid, edit.newFoot(mm(6), mm(30), wood!.key)).inlays![0]!.heightMm).toBeCloseTo(
      half + 6,
      9,
    );
    expect(after(inlaid, edit.sawOff(half + 20, 'above')).inlays).toHaveLength(1);
    expect(after(inlaid, edit.sawOff(half - 20, 'above')).inlays).toBeUndefined();
    const drawn = inlay({
      tiltDeg: 10,
      outline: {
        shape: 'drawn',
        name: 'L',
        heightMm: mm(12),
        loops: [
          [
            [-0.3, -0.5],
            [0.3, -0.5],
            [0.3, -0.3],
            [0, -0.3],
            [0, 0.5],
            [-0.3, 0.5],
          ],
        ],
      },
    });
    const mirrored = mirrorImage(after(cup, edit.addInlay(drawn)), 'm').inlays![0]!;
    expect([mirrored.towardDeg, mirrored.tiltDeg]).toEqual([-30, -10]);
    expect(
      mirrored.outline.shape === 'drawn' && Math.max(...mirrored.outline.loops[0]!.map(([u]) => u)),
    ).toBe(0.3);
    expect(lies(mirrored).pocketMm3).toBeCloseTo(lies(drawn).pocketMm3, 0);
  });
  test('keep their share of the height where the piece is made taller', () => {
    const inlaid = after(cup, edit.addInlay(inlay()));
    const taller = after(inlaid, edit.setFormHeight(mm(vessel.heightMm * 1.25)));
    expect(taller.inlays![0]!.heightMm).toBeCloseTo(half * 1.25, 9);
  });
  test('take fields away again; remove the last and the list is gone', () => {
    const patched = after(
      cup,
      edit.addInlay(inlay({ patch: true, seam: { widthMm: mm(1), wood: cup.palette[1]!.key } })),
    );
    const plainer = after(patched, edit.setInlay(0, { seam: undefined, patch: undefined } as Partial<Inlay>));
    expect('seam' in plainer.inlays![0]! || 'patch' in plainer.inlays![0]!).toBe(false);
    expect('inlays' in after(patched, edit.removeInlay(0))).toBe(false);
    expect(change(cup, edit.addInlay()).project.inlays).toHaveLength(1);
  });
  test('a file with inlays is read; unknown woods and ids that are there twice are refused', () => {
    const inlaid = after(cup, edit.addInlay(inlay()));
    expect(readProject(JSON.parse(JSON.stringify(inlaid))).ok).toBe(true);
    const [one] = inlaid.inlays!;
    expect(inspect({ ...inlaid, inlays: [one!, one!] }).map(({ code }) => code)).toEqual(['inlay-id-twice']);
    expect(inspect({ ...inlaid, inlays: [{ ...one!, wood: 'zz' }] }).map(({ code }) => code)).toEqual([
      'wood-unknown',
    ]);
  });
});
