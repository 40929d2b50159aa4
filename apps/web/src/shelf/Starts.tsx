import { type Project, type Result, sentenceIn } from '@fellside/core';
import { Tabs } from 'radix-ui';
import { type FormEvent, type ReactNode, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, sentencesOf } from '../store/api.js';
import { unitsOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { SheetFoot } from '../ui/SheetFoot.js';
import { beginFromRings, beginFromShape, type Typed } from './begin.js';
import { FromRings } from './FromRings.js';
import { FromShape } from './FromShape.js';

const TABS = [
  ['shape', 'From a shape', 'the curve first, rings sliced from it'],
  ['rings', 'From rings', 'the rings first, a curve that fits inside'],
] as const;

/** Ways to start a piece: from a shape, or from the rings. */
export function Starts() {
  const units = useApp(unitsOf);
  const [rows, setRows] = useState(3);
  return (
    <Tabs.Root defaultValue="shape">
      <Tabs.List className="mb-4 flex gap-1 border-b border-line" aria-label="What to start from">
        {TABS.map(([value, name, says]) => (
          <Tabs.Trigger
            key={value}
            value={value}
            className="-mb-px rounded-t border border-transparent px-3 py-1.5 text-quiet data-[state=active]:border-line data-[state=active]:border-b-pane data-[state=active]:text-ink"
          >
            <b>{name}</b> <span className="text-xs">{says}</span>
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      <Tabs.Content value="shape">
        <StartForm begin={(typed) => beginFromShape(typed, units)}>
          <FromShape />
        </StartForm>
      </Tabs.Content>
      <Tabs.Content value="rings">
        <StartForm begin={(typed) => beginFromRings(typed, rows, units)}>
          <FromRings rows={rows} onRows={setRows} />
        </StartForm>
      </Tabs.Content>
    </Tabs.Root>
  );
}

/** The form round a way to start: makes the piece and opens it, or says all that is wrong. */
function StartForm({ begin, children }: { begin: (typed: Typed) => Result<Project>; children: ReactNode }) {
  const units = useApp(unitsOf);
  const navigate = useNavigate();
  const [create] = api.useCreateProjectMutation();
  const [wrong, setWrong] = useState<string[]>([]);
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const typed = Object.fromEntries(new FormData(event.currentTarget)) as Record<string, string>;
    const begun = begin(typed);
    if (!begun.ok) return setWrong(begun.reasons.map(({ message }) => sentenceIn(message, units)));
    const answer = await create(begun.value);
    if (answer.data) navigate(`/piece/${answer.data.id}/form`);
    else setWrong(sentencesOf(answer.error));
  };
  return (
    <form onSubmit={submit} className="grid grid-cols-4 items-end gap-4">
      {children}
      {wrong.length > 0 && (
        <ul role="alert" className="col-span-4 text-rust">
          {wrong.slice(0, 5).map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      )}
      <SheetFoot main="Start" />
    </form>
  );
}
