import {
  formatAngle,
  formatLength,
  formatStop,
  type Job,
  mm,
  type Purpose,
  quantitiesOf,
  rad,
  type UnitSystem,
} from '@fellside/core';

/** A figure that is set, as it is read from two metres, and the same said otherwise below it. */
export interface SetFigure {
  readonly purpose: Purpose;
  readonly label: string;
  readonly says: string;
  readonly also: string;
}

const LABELS: Readonly<Record<Exclude<Purpose, 'make'>, string>> = {
  'cut-angle': 'Angle',
  'blade-tilt': 'Blade tilt',
  stop: 'Stop, long edge',
  width: 'Width',
  thickness: 'Thickness',
  length: 'Length',
  diameter: 'Diameter',
  depth: 'Depth',
  place: 'Place',
  turn: 'Turn',
};

/** What a job is set to, each purpose once, in the order in which its sentences have it. */
export function setFigures({ id, says }: Pick<Job, 'id' | 'says'>, units: UnitSystem): SetFigure[] {
  const figures = new Map<string, SetFigure>();
  const joint = id.includes('/joint/');
  for (const { sets, value, unit } of says.flatMap((said) => [...quantitiesOf(said)])) {
    if (!sets || sets === 'make') continue;
    const said =
      unit === 'rad'
        ? formatAngle(rad(value))
        : sets === 'stop' || sets === 'diameter'
          ? formatStop(mm(value), units)
          : formatLength(mm(value), units);
    const key = `${sets} ${said}`;
    if (figures.has(key)) continue;
    const again = [...figures.values()].some(({ purpose }) => purpose === sets);
    const label = joint ? jointLabel(sets, again) : LABELS[sets];
    figures.set(key, { purpose: sets, label, says: said, also: alsoSaid(sets, value, units) });
  }
  return [...figures.values()];
}

/** What is drawn on the ring below where one is glued onto it. */
const jointLabel = (purpose: Exclude<Purpose, 'make'>, again: boolean): string =>
  purpose === 'diameter'
    ? again
      ? 'Its hole'
      : 'Its outside'
    : purpose === 'place'
      ? 'Arc at its outside'
      : LABELS[purpose];

function alsoSaid(purpose: Purpose, value: number, units: UnitSystem): string {
  if (purpose === 'cut-angle') return `wedge ${formatAngle(rad(2 * value))}`;
  if (purpose !== 'stop') return '';
  return units === 'mm' ? '' : `${formatLength(mm(value), 'inch-decimal')} · ${formatStop(mm(value), 'mm')}`;
}
