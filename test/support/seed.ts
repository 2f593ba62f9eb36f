import fc from 'fast-check'

/** The same cases in every run, so that a failure is the change's doing; SEED=… looks at others. */
fc.configureGlobal({ seed: Number(process.env.SEED ?? 7671) })
