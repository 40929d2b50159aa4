import type { Errors, Method, Outcomes, Project, Result, Said } from '@fellside/core';
import { useEffect, useMemo, useState } from 'react';
import { rippedOf } from '../../store/selectors.js';
import { useApp } from '../../store/store.js';
import { type RehearsalAsk, type Rehearsed, rehearseBeside } from '../../workers/rehearsal.js';

/** What many builds of a piece came to so far. */
export interface Rehearsal {
  readonly ask: RehearsalAsk;
  readonly outcomes: Outcomes | null;
  readonly helps: Rehearsed['helps'];
  readonly trouble: Said | null;
  readonly running: boolean;
  stop(): void;
}

interface Heard {
  readonly of: RehearsalAsk;
  readonly so: Result<Rehearsed> | null;
  readonly ended: boolean;
}

/** Builds a piece beside the page whenever something that matters has changed. */
export function useRehearsal(
  project: Project,
  errors: Errors,
  method: Method,
  builds: number,
  firstSeed: number,
): Rehearsal {
  const ripping = useApp(rippedOf);
  const ask = useMemo(
    (): RehearsalAsk => ({ project, ripping, errors, method, builds, firstSeed }),
    [project, ripping, errors, method, builds, firstSeed],
  );
  const [heard, setHeard] = useState<Heard>({ of: ask, so: null, ended: false });
  const [stopped, setStopped] = useState<RehearsalAsk | null>(null);
  useEffect(() => {
    if (stopped === ask) return;
    return rehearseBeside(ask, (so, ended) => setHeard({ of: ask, so, ended }));
  }, [ask, stopped]);
  const own = heard.of === ask ? heard : null;
  const so = own?.so ?? null;
  return {
    ask,
    outcomes: so?.ok ? so.value.outcomes : null,
    helps: so?.ok ? so.value.helps : null,
    trouble: so && !so.ok ? so.reasons[0]!.message : null,
    running: stopped !== ask && !own?.ended,
    stop: () => setStopped(ask),
  };
}
