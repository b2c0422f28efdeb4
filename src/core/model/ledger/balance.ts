import {
  ASH_SINKS,
  ASH_SOURCES,
  CARBON_SINKS,
  CARBON_SOURCES,
  NITROGEN_SINKS,
  NITROGEN_SOURCES,
  type Element,
} from './accounts.ts';
import { FLOW_NAMES, ROUTES } from './flows.ts';

/** Flow indices whose debit (`from`) or credit (`to`) side is one of `parties`. */
function flowsTouching(element: Element, side: 'from' | 'to', parties: readonly string[]): number[] {
  return FLOW_NAMES.flatMap((name, index) => {
    const route = ROUTES[name];
    return route.element === element && parties.includes(route[side]) ? [index] : [];
  });
}

const CARBON_INCOME = flowsTouching('carbon', 'from', CARBON_SOURCES);
const CARBON_EXPENSE = flowsTouching('carbon', 'to', CARBON_SINKS);
const NITROGEN_INCOME = flowsTouching('nitrogen', 'from', NITROGEN_SOURCES);
const NITROGEN_EXPENSE = flowsTouching('nitrogen', 'to', NITROGEN_SINKS);
const ASH_INCOME = flowsTouching('ash', 'from', ASH_SOURCES);
const ASH_EXPENSE = flowsTouching('ash', 'to', ASH_SINKS);

const total = (flows: Float64Array, indices: readonly number[]): number => {
  let sum = 0;
  for (const index of indices) sum += flows[index];
  return sum;
};

export const carbonIncome = (flows: Float64Array): number => total(flows, CARBON_INCOME);
export const carbonExpense = (flows: Float64Array): number => total(flows, CARBON_EXPENSE);
export const nitrogenIncome = (flows: Float64Array): number => total(flows, NITROGEN_INCOME);
export const nitrogenExpense = (flows: Float64Array): number => total(flows, NITROGEN_EXPENSE);
export const ashIncome = (flows: Float64Array): number => total(flows, ASH_INCOME);
export const ashExpense = (flows: Float64Array): number => total(flows, ASH_EXPENSE);
