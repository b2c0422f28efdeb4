// npm run bench -- consistency [beds]: plans of beds drawn at random, held against every rule, and how long one takes.
import fc from 'fast-check';
import { planOfBed } from '../../src/core/bed/index.ts';
import { drawnBed } from '../consistency/beds.ts';
import { requireConsistentPlan } from '../consistency/plan-rules.ts';

const MANY = 10_000;
const TIMED = 200;
const beds = Number(process.argv[2] ?? MANY);

const times = fc
  .sample(drawnBed, { numRuns: TIMED, seed: 3 })
  .map(({ records, todayIso }) => {
    const start = performance.now();
    planOfBed({ records, bedId: 'bed', todayIso });
    return performance.now() - start;
  })
  .sort((a, b) => a - b);
const at = (share: number) => `${times[Math.floor(share * (TIMED - 1))].toFixed(0)} ms`;
console.log(`the plan of a bed, ${TIMED} beds: median ${at(0.5)} (bar 150), p95 ${at(0.95)}`);

fc.assert(fc.property(drawnBed, requireConsistentPlan), { numRuns: beds, seed: 4 });
console.log(`${beds} beds drawn at random: every plan keeps every rule`);
