import fc from 'fast-check';

/**
 * Random cases of the property tests: from one seed, so that a run can be repeated and nothing fails now and then. `./plinth test hunt` goes
 * looking with seeds of its own; what it finds becomes an example in the test.
 */
fc.configureGlobal({ seed: Number(process.env['PLINTH_SEED'] ?? 20_261) });
