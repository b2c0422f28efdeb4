import { FLOW } from '../../ledger/flows.ts';
import { CONTACT_ZONE, type Bed } from '../bed.ts';

/** Nitrogen from the air, into the contact zone. */
export function receiveDeposition({ state, constants }: Bed): void {
  const nitrogenG = (constants.depositionGPerM2Year / 365) * constants.dtDays;
  state.mineralN[CONTACT_ZONE] += nitrogenG;
  state.flows[FLOW.deposited] += nitrogenG;
}
