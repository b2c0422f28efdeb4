import { formatQuantity } from '../quantities/format-quantity.ts';
import type { Quantity, RefusalFacts, UnitSystem } from '../refusals/refusal.ts';

export const QUANTITY_NAMES: Readonly<Record<Quantity, string>> = {
  length: 'a length',
  area: 'an area',
  volume: 'a volume',
  mass: 'a weight',
  temperature: 'a temperature',
  bulkDensity: 'a bulk density',
  smallMass: 'a weight',
  massPerArea: 'a weight on an area',
  volumePerArea: 'a volume on an area',
  waterDepth: 'a depth of water',
  share: 'a share',
};

const EXAMPLES: Readonly<Record<Quantity, Readonly<Record<UnitSystem, string>>>> = {
  length: { metric: '30 cm', customary: '12 in' },
  area: { metric: '1.2 x 2.5 m', customary: '4 x 8 ft' },
  volume: { metric: '40 L', customary: '10 gal' },
  mass: { metric: '2.5 kg', customary: '5 lb' },
  temperature: { metric: '20 °C', customary: '68 °F' },
  bulkDensity: { metric: '300 kg/m³', customary: '20 lb/cu ft' },
  smallMass: { metric: '40 g', customary: '1.5 oz' },
  volumePerArea: { metric: '1 L/m²', customary: '2.5 gal/100 sq ft' },
  massPerArea: { metric: '5 g/m²', customary: '1 lb/1000 sq ft' },
  waterDepth: { metric: '10 mm', customary: '0.5 in' },
  share: { metric: '40 %', customary: '40 %' },
};

export const quantityExample = (quantity: Quantity, system: UnitSystem): string => EXAMPLES[quantity][system];

/** Bounds of a quantity in the units of the garden, and what was typed in the same. */
export function boundsInUnits({
  min,
  max,
  above,
  below,
  value,
  quantity,
  system,
}: RefusalFacts['outsideQuantity']): string {
  const words = (bound: number) => formatQuantity(bound, quantity, system);
  const got = `; ${words(value)} was typed`;
  if (min !== undefined && max !== undefined) return `between ${words(min)} and ${words(max)}${got}`;
  const lower =
    above === undefined
      ? min === undefined
        ? []
        : [`at least ${words(min)}`]
      : [`more than ${words(above)}`];
  const upper =
    below === undefined
      ? max === undefined
        ? []
        : [`at most ${words(max)}`]
      : [`less than ${words(below)}`];
  return `${[...lower, ...upper].join(' and ')}${got}`;
}
