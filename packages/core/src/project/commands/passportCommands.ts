import type { Project } from '../schema.js';
import type { Command } from './command.js';

type Entered = NonNullable<Project['passport']>;

const NOTHING: Entered = { maker: '', number: '', made: '', note: '' };

/** What is entered on the passport; hours undefined takes them out. Left out of the document where nothing is. */
export const setPassport = (change: { [K in keyof Entered]?: Entered[K] | undefined }): Command => ({
  label: 'Passport',
  apply(draft) {
    const { hours, ...texts } = { ...NOTHING, ...draft.passport, ...change };
    const entered = { ...texts, ...(hours !== undefined && { hours }) };
    if (Object.values(entered).every((value) => value === '')) delete draft.passport;
    else draft.passport = entered;
    return undefined;
  },
});
