const fc = require('fast-check');

// Random tests are the same on every run; SEED looks further (SEED=$RANDOM npm run test:unit).
fc.configureGlobal({ seed: Number(process.env.SEED ?? 20261123) });

// How many damaged files are tried; few where nothing is said.
globalThis.MUTATIONS = process.env.MUTATIONS ? Number(process.env.MUTATIONS) : undefined;
