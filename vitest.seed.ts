import fc from 'fast-check';

/** Random tests draw the same cases every run, so that a red run can be run again; FELLSIDE_SEED=any draws new ones. */
const given = process.env.FELLSIDE_SEED ?? '20261123';
if (given !== 'any') fc.configureGlobal({ seed: Number(given) });
