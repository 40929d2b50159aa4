import { z } from 'zod';
import { bodyOf, makeRing, placesOf, type SawnMaking, sawnSchema } from '../making/registry.js';
import { madeRingFields } from '../making/stock/fromStock.js';
import type { Reason } from '../measure/reason.js';
import { forZod, say } from '../measure/said.js';
import type { Project } from './schema.js';

/** A ring that is made and lies in the stash, without its number there: real sizes, species by place, how it was made. */
export const stashedRingSchema = z
  .strictObject({ ...madeRingFields, of: sawnSchema })
  .check(({ value, issues }) => {
    const { outerRadiusMm, innerRadiusMm, heightMm, species, of } = value;
    const wrong = (path: string, message: string) =>
      issues.push({ code: 'custom', path: [path], message, input: value });
    if (bodyOf(of) !== null)
      wrong(
        'of',
        'A slice has left its thick ring when it lies in the stash; put it in as a ring of flat segments.',
      );
    const places = placesOf(of);
    if (species.length !== places)
      wrong('species', `The ring has ${places} places and ${species.length} woods; it needs one for each.`);
    const made = makeRing(of, { outerRadiusMm, innerRadiusMm, heightMm });
    if (!made.ok) wrong('of', forZod(say`Such a ring cannot be: ${made.reasons[0]!.message}`));
  });

export type StashEntry = z.infer<typeof stashedRingSchema> & { readonly of: SawnMaking };

/** Numbers in the stash of the rings that a piece uses, with the rings that use them (by index). */
export const stashUsedBy = (project: Pick<Project, 'rings'>): ReadonlyMap<string, number> =>
  new Map(
    project.rings.flatMap(({ making }, index) =>
      making.way === 'stock' ? [[making.item, index] as const] : [],
    ),
  );

/** Why a piece cannot have its rings from the stash: another one has them. `taken` gives its name by number. */
export const stashTaken = (project: Project, taken: ReadonlyMap<string, string>): Reason[] =>
  [...stashUsedBy(project)].flatMap(([item, index]) => {
    const other = taken.get(item);
    const { making } = project.rings[index]!;
    const name = making.way === 'stock' ? making.name : '';
    return other === undefined
      ? []
      : [
          {
            code: 'stash-taken',
            path: `rings.${index}.making.item`,
            message: say`Ring ${index + 1}: “${name}” from the stash is in “${other}” already; take it out there first, or make this ring another way.`,
          },
        ];
  });
