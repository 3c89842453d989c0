import fc from 'fast-check';

// The same cases in every run, so that a failure is of the change and not of the dice; FC_SEED=random (or a
// number) looks elsewhere.
const { FC_SEED } = process.env;
if (FC_SEED !== 'random') fc.configureGlobal({ seed: Number(FC_SEED ?? 20_261_124) });
