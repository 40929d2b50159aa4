import { done, type Outcomes, type Prepared, type Result, refuse } from '@fellside/core';
import { useMemo, useState } from 'react';
import { useBox } from '../../bench/useScale.js';
import { shapeFrom } from '../../store/shape.js';
import { ShownInstead } from '../../surfaces/shownPiece.js';
import { LazyTurntable } from '../../turntable/LazyTurntable.js';
import { NumberField } from '../../ui/NumberField.js';
import type { RehearsalAsk } from '../../workers/rehearsal.js';
import { BuiltWall } from './BuiltWall.js';

/** Builds in the strip: what they are called, and where they stand among all, from the best. */
const STRIP = [
  ['as drawn', null],
  ['a good one', 0.05],
  ['middling', 0.5],
  ['a poor one', 0.9],
  ['one in twenty', 0.95],
] as const;
type Chosen = (typeof STRIP)[number][0];

interface BuiltViewsProps {
  readonly ask: RehearsalAsk;
  readonly outcomes: Outcomes;
  readonly prepared: Prepared;
}

const AS_DRAWN = '-';

/** Seeds of the builds in the strip, as a text: the same as long as they are. */
const seedsOf = ({ order }: Outcomes): string =>
  STRIP.map(([, share]) =>
    share === null
      ? AS_DRAWN
      : String(order[Math.min(order.length - 1, Math.floor(share * order.length))]!.seed),
  ).join(' ');

/** The piece as a build of a number comes out, or as it is drawn. */
const builtShape = ({ project, ripping, errors, method }: RehearsalAsk, seed: string) =>
  shapeFrom(project, ripping, seed === AS_DRAWN ? undefined : { errors, method, seed: Number(seed) });

const MOST_SEED = 1_000_000;

/** The piece as a middling build, a poor one or a chosen one comes out: its wall or in space, and small ones side by side. */
export function BuiltViews({ ask, outcomes, prepared }: BuiltViewsProps) {
  const [chosen, setChosen] = useState<Chosen>('middling');
  const [number, setNumber] = useState<number | null>(null);
  const [inSpace, setInSpace] = useState(false);
  const { ref, width } = useBox<HTMLDivElement>();
  const seeds = seedsOf(outcomes);
  const shapes = useMemo(() => seeds.split(' ').map((seed) => builtShape(ask, seed)), [ask, seeds]);
  const own = useMemo(() => (number === null ? null : builtShape(ask, String(number))), [ask, number]);
  const called = number === null ? chosen : `build ${number}`;
  const shape = own ?? shapes[STRIP.findIndex(([each]) => each === chosen)]!;
  const inPlace = useMemo(() => ({ shape, prepared: done(prepared) }), [shape, prepared]);
  const choose = (next: number): Result<unknown> => {
    if (!Number.isInteger(next) || next < 1 || next > MOST_SEED)
      return refuse('web:build', 'number', `Builds are numbered from 1 to ${MOST_SEED}.`);
    setNumber(next);
    return done(next);
  };
  const wide = Math.max(200, width);
  const thumb = Math.max(40, Math.floor((wide - 4 * GAP) / STRIP.length) - 2 * BORDER);
  return (
    <div ref={ref} className="flex min-h-0 flex-col gap-2">
      <div className="flex items-center gap-1">
        <h2 className="mr-auto font-semibold">As it comes out: {called}</h2>
        {(['Wall', 'Turntable'] as const).map((name) => (
          <button
            key={name}
            type="button"
            aria-pressed={inSpace === (name === 'Turntable')}
            className="h-8 rounded border border-line px-3 aria-pressed:border-teal aria-pressed:bg-teal-wash aria-pressed:font-semibold"
            onClick={() => setInSpace(name === 'Turntable')}
          >
            {name}
          </button>
        ))}
      </div>
      {inSpace ? (
        <div className="h-[26rem]">
          <ShownInstead value={inPlace}>
            <LazyTurntable size="panel" />
          </ShownInstead>
        </div>
      ) : (
        <BuiltWall
          shape={shape}
          prepared={prepared}
          asker="rehearsal"
          label={`The outside of the wall laid flat: ${called}`}
          width={wide}
          height={Math.round(Math.min(MOST_HIGH, FLAT * wide))}
        />
      )}
      <ul aria-label="Builds side by side" className="flex gap-1">
        {STRIP.map(([name], i) => (
          <li key={name}>
            <button
              type="button"
              aria-pressed={number === null && name === chosen}
              className="block rounded border-2 border-transparent text-xs aria-pressed:border-teal aria-pressed:font-semibold"
              onClick={() => {
                setChosen(name);
                setNumber(null);
              }}
            >
              <BuiltWall
                shape={shapes[i]!}
                prepared={prepared}
                asker={`rehearsal-${i}`}
                label=""
                width={thumb}
                height={SMALL}
                small
              />
              {name}
            </button>
          </li>
        ))}
      </ul>
      <div className="w-40">
        <NumberField
          label="Or the build of this number"
          value={number ?? Number(seeds.split(' ')[2])}
          onChange={choose}
        />
      </div>
      <p className="text-xs text-quiet">
        Steps between rings and open joints are drawn as wide as they are. Builds are put in order by how much
        they show.
      </p>
    </div>
  );
}

const MOST_HIGH = 430;
/** Height of the large wall over its width, where there is not much. */
const FLAT = 0.7;
const SMALL = 84;
const GAP = 4;
const BORDER = 2;
