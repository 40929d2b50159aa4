import {
  ALIGNINGS,
  CLOSINGS,
  ERROR_KINDS,
  ERRORS,
  type ErrorKind,
  type Errors,
  type Mm,
  mm,
  type Result,
  type School,
} from '@fellside/core';
import { Choice } from '../ui/Choice.js';
import { LengthField } from '../ui/LengthField.js';
import { NumberField } from '../ui/NumberField.js';
import { Switch } from '../ui/Switch.js';

const CLOSING_NAMES: Record<School['closing'], string> = {
  spread: 'clamped, all at once',
  halves: 'two halves, sanded true',
};
const ALIGNING_NAMES: Record<School['aligning'], string> = {
  below: 'the ring below',
  mark: 'a mark on the lathe',
};

interface ErrorInputsProps {
  readonly errors: Errors;
  readonly set: (kind: ErrorKind, value: number) => Result<unknown>;
}

/** Every error of a shop, one standard deviation each. */
export const ErrorInputs = ({ errors, set }: ErrorInputsProps) => (
  <>
    {ERROR_KINDS.map((kind) =>
      kind.endsWith('Deg') ? (
        <NumberField
          key={kind}
          label={ERRORS[kind]}
          unit="°"
          value={errors[kind]}
          onChange={(value) => set(kind, value)}
        />
      ) : (
        <LengthField
          key={kind}
          label={ERRORS[kind]}
          value={mm(errors[kind]) as Mm}
          gap
          onChange={(value) => set(kind, value)}
        />
      ),
    )}
  </>
);

interface SchoolInputsProps<S extends School> {
  readonly school: S;
  readonly change: (school: S) => void;
}

/** How a shop closes its rings, and how it sets one on the other. */
export const SchoolInputs = <S extends School>({ school, change }: SchoolInputsProps<S>) => (
  <>
    <Choice
      label="Rings are glued"
      className="w-full"
      value={school.closing}
      options={CLOSINGS.map((each) => [each, CLOSING_NAMES[each]] as const)}
      onChange={(closing) => change({ ...school, closing })}
    />
    <Choice
      label="A ring is turned by"
      className="w-full"
      value={school.aligning}
      options={ALIGNINGS.map((each) => [each, ALIGNING_NAMES[each]] as const)}
      onChange={(aligning) => change({ ...school, aligning })}
    />
    <Switch
      label="Pins in the waste"
      on={school.pinned}
      onChange={(pinned) => change({ ...school, pinned })}
    />
  </>
);
