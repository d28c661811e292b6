// fast-check with the seed of the run, the same in every file: `WERGON_SEED=… npm test` does a run again.
const checks = require('../node_modules/fast-check/lib/cjs/fast-check.js');
checks.configureGlobal({ ...checks.readConfigureGlobal(), seed: Number(process.env.WERGON_SEED) });
module.exports = checks;
