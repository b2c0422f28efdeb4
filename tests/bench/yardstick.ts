/**
 * A fixed piece of work that has nothing to do with the model but is made of what the model is made of: exponentials,
 * loads and stores of doubles. Its time tells the pace the machine keeps at this moment, so that a time can be held
 * against it. ROUNDS is such that it stands to version 2 of the model as the same work in plain C did: 5.2 ms where
 * version 2 took 22.5 on one machine within one hour (found by running the two in turns).
 */
const ROUNDS = 27_000;
const ROWS = 24;
const FIELDS = 32;
const EXPONENTIALS = 4;

const table = new Float64Array(ROWS * FIELDS).fill(1);

/** One round of the fixed work; the sum is told so that no engine leaves it out. */
export function yardstick(): number {
  for (let round = 0; round < ROUNDS; round++) {
    const row = (round % ROWS) * FIELDS;
    for (let i = 0; i < EXPONENTIALS; i++) {
      const from = row + i;
      const kept = Math.exp(-0.001 * table[from]);
      const lost = table[from + 4] * (1 - kept);
      table[from + 4] += 0.01 - lost;
      table[from + 8] = 0.5 * table[from + 8] + lost;
      table[from + 12] = Math.min(2, table[from + 12] * kept + 0.001);
    }
    for (let i = 16; i < FIELDS; i++) table[row + i] = table[row + i] * 0.999 + table[row + i - 16] * 0.001;
  }
  return table[ROWS];
}
