import { heapProbe } from '../../src/standins/heap-probe.ts';
import { kitchenScale } from '../../src/standins/kitchen-scale.ts';
import { soilLaboratory } from '../../src/standins/soil-laboratory.ts';
import { endListening, listening } from '../http/listening.ts';

/** Where the instruments are that stand in for real ones; each of the processes that run tests is told. */
const addressIn = (name: string) => process.env[name] ?? '';
export const scaleAddress = () => addressIn('VINE_TEST_SCALE');
export const probeAddress = () => addressIn('VINE_TEST_PROBE');
export const laboratoryAddress = () => addressIn('VINE_TEST_LABORATORY');

/** Starts them before all tests, each on a free port; what is returned ends them. */
export default async function startStandins(): Promise<() => void> {
  const noDays = 0;
  process.env['VINE_TEST_SCALE'] = await listening(kitchenScale(1));
  process.env['VINE_TEST_PROBE'] = await listening(heapProbe(2));
  process.env['VINE_TEST_LABORATORY'] = await listening(soilLaboratory(3, noDays));
  return endListening;
}
