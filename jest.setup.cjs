const fc = require('fast-check');

// Random tests are the same on every run; SEED looks further (SEED=$RANDOM npm run test:unit).
fc.configureGlobal({ seed: Number(process.env.SEED ?? 20261123) });
