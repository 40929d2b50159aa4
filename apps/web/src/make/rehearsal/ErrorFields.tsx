import {
  done,
  ERROR_KINDS,
  ERRORS,
  type ErrorKind,
  type Errors,
  errorsSchema,
  formatLength,
  LEAST_LEARNT,
  type Method,
  mm,
  type Result,
  reasonsOf,
  refused,
} from '@fellside/core';
import { ErrorInputs, SchoolInputs } from '../../shop/ErrorInputs.js';
import { api } from '../../store/api.js';
import { shopOf, unitsOf } from '../../store/house.js';
import { useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { small } from './figures.js';

interface ErrorFieldsProps {
  readonly errors: Errors;
  readonly method: Method;
  onErrors(errors: Errors): void;
  onMethod(method: Method): void;
}

/** How far things come out in this shop, and how it goes about gluing: what a build is tried with. */
export function ErrorFields({ errors, method, onErrors, onMethod }: ErrorFieldsProps) {
  const units = useApp(unitsOf);
  const set = (kind: ErrorKind, value: number): Result<unknown> => {
    const read = errorsSchema.safeParse({ ...errors, [kind]: value });
    if (!read.success) return refused(...reasonsOf(read.error));
    onErrors(read.data);
    return done(null);
  };
  return (
    <>
      <h2 className="font-semibold">How far things come out</h2>
      <p className="mb-2 text-xs text-quiet">
        Two of three come out nearer than this, one of twenty farther than twice as much.
      </p>
      <div className="grid grid-cols-2 items-end gap-2 lg:grid-cols-1">
        <ErrorInputs errors={errors} set={set} />
      </div>
      <h2 className="mt-4 mb-1 font-semibold">How it is put together</h2>
      <div className="flex flex-col gap-2">
        <SchoolInputs school={method} change={onMethod} />
      </div>
      {method.letInMm > 0 && (
        <p className="mt-2 text-sm">
          Stripes up to {formatLength(mm(method.letInMm), units)} are let in as one piece; in the piece itself
          that is done under Rings, with Inlays.
          <Button className="mt-1 w-full" onClick={() => onMethod({ ...method, letInMm: 0 })}>
            In the rings again
          </Button>
        </p>
      )}
      <KeptInShop errors={errors} method={method} />
      <FromMeasurements errors={errors} onErrors={onErrors} />
    </>
  );
}

/** What was typed here is for this look alone until it is the shop's. */
function KeptInShop({ errors, method }: Pick<ErrorFieldsProps, 'errors' | 'method'>) {
  const shop = useApp(shopOf);
  const [setShop, { isError }] = api.useSetShopMutation();
  const { closing, aligning, pinned } = method;
  const school = { closing, aligning, pinned };
  const { workshop } = shop;
  const same =
    ERROR_KINDS.every((kind) => workshop.errors[kind] === errors[kind]) &&
    workshop.school.closing === closing &&
    workshop.school.aligning === aligning &&
    workshop.school.pinned === pinned;
  if (same) return <p className="mt-2 text-xs text-quiet">These are the shop’s figures.</p>;
  return (
    <div className="mt-2">
      <Button
        className="w-full"
        onClick={() => void setShop({ ...shop, workshop: { ...workshop, errors: { ...errors }, school } })}
      >
        Keep for the shop
      </Button>
      {isError && (
        <p role="alert" className="text-sm text-rust">
          The server is away; it is not kept.
        </p>
      )}
    </div>
  );
}

/** What measured rings of all pieces say, with how many they are; taken over by a press. */
function FromMeasurements({ errors, onErrors }: Pick<ErrorFieldsProps, 'errors' | 'onErrors'>) {
  const units = useApp(unitsOf);
  const { data: learnt = [] } = api.useLearntQuery(undefined, { refetchOnMountOrArgChange: true });
  const enough = learnt.filter(({ count }) => count >= LEAST_LEARNT);
  const better = enough.filter(({ kind, spread }) => Math.abs(errors[kind] - spread) > 0.005);
  return (
    <section aria-label="From your own measurements" className="mt-4">
      <h2 className="mb-1 font-semibold">From your own measurements</h2>
      {learnt.length === 0 ? (
        <p className="text-xs text-quiet">
          No ring of any piece has been measured yet. Thicknesses and diameters that are entered in Make or on
          the bench tell here how far your shop comes out; until then these are usual figures.
        </p>
      ) : (
        <ul className="text-sm">
          {learnt.map(({ kind, spread, count }) => (
            <li key={kind}>
              {ERRORS[kind]}: <b>{kind === 'settingDeg' ? `${spread.toFixed(3)}°` : small(spread, units)}</b>,
              from {count} {count === 1 ? 'measurement' : 'measurements'}
              {count < LEAST_LEARNT && ': too few to go by'}.
            </li>
          ))}
        </ul>
      )}
      {better.length > 0 && (
        <Button
          className="mt-1 w-full"
          onClick={() =>
            onErrors({
              ...errors,
              ...Object.fromEntries(
                better.map(({ kind, spread }) => [kind, Math.round(spread * 1000) / 1000]),
              ),
            })
          }
        >
          Go by these
        </Button>
      )}
    </section>
  );
}
