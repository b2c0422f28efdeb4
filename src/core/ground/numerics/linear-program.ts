/** A linear programme, to be handed to a solver: least cost within bounds and rows. Infinity leaves a side open. */
export interface LinearVariable {
  readonly name: string;
  readonly low: number;
  readonly high: number;
  readonly cost: number;
  readonly isWhole: boolean;
}

export interface LinearRow {
  readonly name: string;
  /** Coefficient of each variable by name; what is not named counts 0. */
  readonly coefficients: Readonly<Record<string, number>>;
  readonly low: number;
  readonly high: number;
}

export interface LinearProgram {
  readonly variables: readonly LinearVariable[];
  readonly rows: readonly LinearRow[];
  /** With whole numbers: a solution this near the best one will do, as a share of its cost; the best itself when absent. */
  readonly nearEnoughShare?: number;
}

export type LinearOutcome =
  | { readonly status: 'optimal'; readonly values: Readonly<Record<string, number>>; readonly cost: number }
  | { readonly status: 'infeasible' }
  /** The solver gave up; `reason` is its word for it. */
  | { readonly status: 'failed'; readonly reason: string };

export type SolveLinearProgram = (program: LinearProgram) => LinearOutcome;

const term = (coefficient: number, name: string): string =>
  `${coefficient < 0 ? '-' : '+'} ${Math.abs(coefficient)} ${name}`;

const sumOf = (coefficients: Readonly<Record<string, number>>): string =>
  Object.entries(coefficients)
    .filter(([, coefficient]) => coefficient !== 0)
    .map(([name, coefficient]) => term(coefficient, name))
    .join(' ');

function rowLines({ name, coefficients, low, high }: LinearRow, anyName: string): string[] {
  // A row of nothing still holds or fails.
  const sum = sumOf(coefficients) || `0 ${anyName}`;
  if (low === high) return [` ${name}: ${sum} = ${low}`];
  return [
    ...(Number.isFinite(low) ? [` ${name}_low: ${sum} >= ${low}`] : []),
    ...(Number.isFinite(high) ? [` ${name}_high: ${sum} <= ${high}`] : []),
  ];
}

/** The programme in the CPLEX LP text format, which general solvers read. Names must be plain words; one at least. */
export function linearProgramText({ variables, rows }: LinearProgram): string {
  const costs = Object.fromEntries(variables.map(({ name, cost }) => [name, cost]));
  const whole = variables.filter(({ isWhole }) => isWhole).map(({ name }) => name);
  return [
    'Minimize',
    ` cost: ${sumOf(costs) || `0 ${variables[0].name}`}`,
    'Subject To',
    ...rows.flatMap((row) => rowLines(row, variables[0].name)),
    'Bounds',
    ...variables.map(
      ({ name, low, high }) => ` ${low} <= ${name} <= ${Number.isFinite(high) ? high : 'inf'}`,
    ),
    ...(whole.length > 0 ? ['General', ` ${whole.join(' ')}`] : []),
    'End',
  ].join('\n');
}
