import { describe, expect, it } from 'vitest';
import {
  CARBON_ACCOUNTS,
  CARBON_SINKS,
  CARBON_SOURCES,
  ASH_ACCOUNTS,
  ASH_SINKS,
  ASH_SOURCES,
  NITROGEN_ACCOUNTS,
  NITROGEN_SINKS,
  NITROGEN_SOURCES,
} from './accounts.ts';
import {
  ashExpense,
  ashIncome,
  carbonExpense,
  carbonIncome,
  nitrogenExpense,
  nitrogenIncome,
} from './balance.ts';
import { openPostings, readPostings } from './postings.ts';
import { FLOW, FLOW_COUNT, FLOW_NAMES, ROUTES, type FlowName } from './flows.ts';

const CHART = {
  carbon: { assets: CARBON_ACCOUNTS, sources: CARBON_SOURCES, sinks: CARBON_SINKS },
  nitrogen: { assets: NITROGEN_ACCOUNTS, sources: NITROGEN_SOURCES, sinks: NITROGEN_SINKS },
  ash: { assets: ASH_ACCOUNTS, sources: ASH_SOURCES, sinks: ASH_SINKS },
} as const;

/** Running totals with one posting of 3 g made. */
const posted = (name: FlowName): Float64Array => {
  const flows = new Float64Array(FLOW_COUNT);
  flows[FLOW[name]] = 3;
  return flows;
};

describe('postings', () => {
  it('are read in the order of their names', () => {
    const postings = openPostings();
    FLOW_NAMES.forEach((name, i) => (postings[name] = i));
    const read = new Float64Array(FLOW_COUNT);
    readPostings(postings, read);
    expect([...read]).toEqual(FLOW_NAMES.map((_, i) => i));
  });

  it.each(FLOW_NAMES)('%s goes from one account of its element to another', (name) => {
    const { element, from, to } = ROUTES[name];
    const { assets, sources, sinks } = CHART[element];
    expect([...assets, ...sources]).toContain(from);
    expect([...assets, ...sinks]).toContain(to);
    expect(from).not.toBe(to);
  });

  it.each(FLOW_NAMES)(
    '%s counts as income or expense of its element only where it crosses the edge',
    (name) => {
      const { element, from, to } = ROUTES[name];
      const { sources, sinks } = CHART[element];
      const income = (sources as readonly string[]).includes(from) ? 3 : 0;
      const expense = (sinks as readonly string[]).includes(to) ? 3 : 0;
      const flows = posted(name);
      expect([carbonIncome(flows), carbonExpense(flows)]).toEqual(
        element === 'carbon' ? [income, expense] : [0, 0],
      );
      expect([nitrogenIncome(flows), nitrogenExpense(flows)]).toEqual(
        element === 'nitrogen' ? [income, expense] : [0, 0],
      );
      expect([ashIncome(flows), ashExpense(flows)]).toEqual(element === 'ash' ? [income, expense] : [0, 0]);
    },
  );

  it('reach every account, and none is a dead end but the sinks', () => {
    for (const [element, { assets, sources, sinks }] of Object.entries(CHART)) {
      const routes = Object.values(ROUTES).filter((route) => route.element === element);
      for (const account of [...assets, ...sinks]) expect(routes.map(({ to }) => to)).toContain(account);
      for (const account of [...assets, ...sources])
        expect(routes.map(({ from }) => from)).toContain(account);
    }
  });
});
