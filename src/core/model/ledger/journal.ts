import type { DayNumber } from '../../ground/index.ts';
import type { AshParty, CarbonParty, Element, NitrogenParty } from './accounts.ts';
import { FLOW_NAMES, ROUTES, type FlowName } from './flows.ts';
import type { Basis } from './periods.ts';
import type { BalanceSample } from './statement.ts';

/** What one kind of posting came to between two mornings on which the books were closed. */
export interface JournalLine {
  readonly fromDay: DayNumber;
  /** The morning after the last day of it. */
  readonly untilDay: DayNumber;
  readonly basis: Basis;
  readonly element: Element;
  readonly name: FlowName;
  readonly from: CarbonParty | NitrogenParty | AshParty;
  readonly to: CarbonParty | NitrogenParty | AshParty;
  /** Negative where a correction took something back. */
  readonly gPerM2: number;
}

/** Every posting from one closing of the books to the next, in the order of days; what came to nothing is left out. */
export function journalOf(
  samples: readonly (BalanceSample & { readonly day: DayNumber })[],
  forecastFromDay: DayNumber,
): JournalLine[] {
  return samples.slice(1).flatMap((closing, i) => {
    const opening = samples[i];
    const basis: Basis = opening.day < forecastFromDay ? 'facts' : 'forecast';
    return FLOW_NAMES.flatMap((name, index): JournalLine[] => {
      const gPerM2 = closing.flows[index] - opening.flows[index];
      if (gPerM2 === 0) return [];
      const days = { fromDay: opening.day, untilDay: closing.day };
      return [{ ...days, basis, name, ...ROUTES[name], gPerM2 }];
    });
  });
}
