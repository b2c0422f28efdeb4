import { InputError, requireNumber } from '../input-error.ts';
import { PARAMETER_CLASSES, PARAMETER_TABLE, type ParameterOverrides } from './parameters.ts';

const SHARES = new Set([
  'growthEfficiency',
  'woodyGrowthEfficiency',
  'biomassHumifiedShare',
  'woodyHumifiedShare',
  'starvedDecayFloor',
  'microbialDrawPerDay',
  'cropDrawPerDay',
  'contactDraw',
  'settlingShare',
  'contactZoneEvaporationShare',
  'mulchEvaporationCut',
  'labileCharShare',
  'liquidSoakShare',
  'legumeFixedShare',
]);

/** Divisors: zero would leave the finite numbers. */
const ABOVE_ZERO = new Set([
  'humusCarbonToNitrogen',
  'biomassCnLow',
  'biomassCnHigh',
  'contactDepthCm',
  'settlingDays',
  'washingMm',
  'ammoniaCoverCm',
  'labileCharResidenceDays',
  'charFillingDays',
  'pileCoolingDays',
  'backlogDays',
  'doseStepG',
  'quickNitrogenWeight',
  'structuralNitrogenWeight',
  'woodyNitrogenWeight',
  'humusNitrogenWeight',
  'charNitrogenWeight',
  'fieldCapacityBase',
]);

/** Throws InputError naming the parameter for an unknown name or a value that cannot be. */
export function checkParameters(overrides: ParameterOverrides): void {
  for (const [name, value] of Object.entries(overrides)) {
    const path = ['parameters', name];
    if (name in PARAMETER_TABLE) checkScalar(name, value, path);
    else if (name in PARAMETER_CLASSES) checkClasses(name as keyof typeof PARAMETER_CLASSES, value, path);
    else throw new InputError(path, 'unknown', 'is not a parameter of the model');
  }
}

function checkScalar(name: string, value: unknown, path: string[]): void {
  if (name === 'frozenC') requireNumber(value, path, { min: -18 });
  else if (name === 'rainGapDays') {
    if (!Number.isInteger(requireNumber(value, path, { min: 1 }))) {
      throw new InputError(path, 'out_of_range', `must be a whole number of days; got ${String(value)}`);
    }
  } else if (SHARES.has(name)) requireNumber(value, path, { min: 0, max: 1 });
  else if (ABOVE_ZERO.has(name)) requireNumber(value, path, { above: 0 });
  else requireNumber(value, path, { min: 0 });
}

function checkClasses(name: keyof typeof PARAMETER_CLASSES, value: unknown, path: string[]): void {
  if (typeof value !== 'object' || value === null) {
    throw new InputError(path, 'bad_shape', 'must be an object of classes');
  }
  for (const [key, entry] of Object.entries(value)) {
    if (!(key in PARAMETER_CLASSES[name].value)) {
      throw new InputError([...path, key], 'unknown', 'is not a class of this parameter');
    }
    requireNumber(
      entry,
      [...path, key],
      name === 'charLeftAfter100Years' ? { above: 0, max: 0.999 } : { min: 0 },
    );
  }
}
