import { darkestOf, fillerMm3, segmentsOf, sentenceIn } from '@fellside/core';
import { Link, useParams } from 'react-router';
import { colourNotesOf } from '../../store/ageing.js';
import { projectOf, unitsOf } from '../../store/house.js';
import { planOf, speciesOf } from '../../store/selectors.js';
import { useApp } from '../../store/store.js';

/** What finish and years do to woods that touch, and what a gap is filled with. */
export function ColourList() {
  const { id } = useParams();
  const units = useApp(unitsOf);
  const notes = useApp(colourNotesOf);
  return (
    <section aria-label="Colours">
      <h2 className="mt-3 mb-1 text-lg font-semibold">What becomes of the colours</h2>
      {notes.length === 0 ? (
        <p className="text-sm">
          All woods that touch can be told apart, new and aged; none bleeds into a pale one beside it.
        </p>
      ) : (
        <ul className="text-sm">
          {notes.map(({ kind, woods, says, helps }) => (
            <li key={`${kind} ${woods.join(' ')}`} className="border-t border-line py-1.5">
              <b>{sentenceIn(says, units)}</b>
              <span className="block text-quiet">{sentenceIn(helps, units)}</span>
            </li>
          ))}
        </ul>
      )}
      <Filler />
      <p className="mt-2 text-sm">
        <Link className="text-teal underline" to={`/piece/${id}/pattern`}>
          See it aged, and how much each pair differs, in Pattern
        </Link>
      </p>
    </section>
  );
}

/** Dust of the darkest wood of the piece, and how much of it is put by. */
function Filler() {
  const plan = useApp(planOf);
  const project = useApp(projectOf);
  const species = useApp(speciesOf);
  const darkest = darkestOf([...species.values()]);
  if (!plan.ok || !darkest) return null;
  const cm3 =
    fillerMm3(
      plan.value.rings.map(({ bottomMm, topMm, wall }, i) => ({
        joints: segmentsOf(project.rings[i]!.making) ?? 0,
        heightMm: topMm - bottomMm,
        wallMm: wall.outerRadiusMm - wall.innerRadiusMm,
      })),
    ) / 1000;
  return (
    <p className="mt-2 text-sm">
      Fill what gapes with dust of the darker neighbour: a fine dark line is seen less than a pale one. Put by{' '}
      <b>{Math.max(1, Math.ceil(cm3))} cm³</b> of sanding dust, {darkest.name} before all.
    </p>
  );
}
