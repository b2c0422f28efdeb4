import { InputError, requireNumber } from '../../../refusals/input-error.ts';
import { PARAMETER_CLASSES, PARAMETER_TABLE, withOverrides, type ParameterOverrides } from './parameters.ts';

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
  'largestHumifiedShare',
  'deepDrawPerDay',
  'charDrawPerDay',
  'frostFactor',
  'compostInsulation',
  'largestAshVolume',
  'bareSoilDryness',
  'releasedAmmoniaShare',
  'largestReleasedAmmoniaShare',
  'spreadHeapAmmoniaExposure',
  'ammoniumShareAtStart',
  'charMajorityShare',
  'liquidMoisture',
  'paleFromDemandShare',
  'paleLeastShare',
  'rootNitrogenShare',
  'rootQuickShare',
  'rootWoodyShare',
  'rootLateShare',
  'rootFedFloor',
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
  'contactZoneLagDays',
  'rootZoneLagDays',
  'ashDensityGPerCm3',
  'organicMatterDensityGPerCm3',
  'lightestMineralSoil',
  'densestMineralSoil',
  'fullCoverMulchCm',
  'washedLayerCm',
  'thinnestWashing',
  'ammoniaFeedCnSpan',
  'charQ10',
  'rootsFullAtProgress',
  'rootLitterDepthCm',
  'rootFeedCn',
]);

/** Whole numbers of days. */
const WHOLE_DAYS = new Set(['rainGapDays', 'paleWindowDays']);

/** Narrower limits than those of their kind. */
const LIMITS: Readonly<Record<string, { readonly min: number; readonly max?: number }>> = {
  frozenC: { min: -18 },
  workedDepthCm: { min: 10, max: 90 },
  subsoilBottomCm: { min: 100, max: 500 },
  ammoniaReferencePh: { min: 3, max: 11 },
  charReferenceC: { min: -20, max: 60 },
  cropBaseC: { min: -10, max: 30 },
};

/** Throws InputError naming the parameter for an unknown name or a value that cannot be. */
export function checkParameters(overrides: ParameterOverrides): void {
  for (const [name, value] of Object.entries(overrides)) {
    const path = ['parameters', name];
    if (name in PARAMETER_TABLE) checkScalar(name, value, path);
    else if (name in PARAMETER_CLASSES) checkClasses(name as keyof typeof PARAMETER_CLASSES, value, path);
    else throw new InputError(path, 'namesNone', { what: 'parameter', got: null });
  }
  refuseTooManyRoots(overrides);
}

/** Quick and woody share of root litter leave a structural rest that is not negative. */
function refuseTooManyRoots(overrides: ParameterOverrides): void {
  const { rootQuickShare, rootWoodyShare } = withOverrides(overrides);
  if (rootQuickShare + rootWoodyShare > 1) {
    throw new InputError(['parameters', 'rootWoodyShare'], 'rootSharesOverOne', {
      sum: rootQuickShare + rootWoodyShare,
    });
  }
}

function checkScalar(name: string, value: unknown, path: string[]): void {
  if (name in LIMITS) requireNumber(value, path, LIMITS[name]);
  else if (WHOLE_DAYS.has(name)) {
    if (!Number.isInteger(requireNumber(value, path, { min: 1 }))) {
      throw new InputError(path, 'notWhole', { got: value, of: 'days' });
    }
  } else if (SHARES.has(name)) requireNumber(value, path, { min: 0, max: 1 });
  else if (ABOVE_ZERO.has(name)) requireNumber(value, path, { above: 0 });
  else requireNumber(value, path, { min: 0 });
}

const CLASS_LIMITS: Partial<
  Record<keyof typeof PARAMETER_CLASSES, { min?: number; above?: number; max: number }>
> = {
  charLeftAfter100Years: { above: 0, max: 0.999 },
  sievedShare: { min: 0, max: 1 },
  activeShare: { min: 0, max: 1 },
};

function checkClasses(name: keyof typeof PARAMETER_CLASSES, value: unknown, path: string[]): void {
  if (typeof value !== 'object' || value === null) {
    throw new InputError(path, 'notClasses');
  }
  for (const [key, entry] of Object.entries(value)) {
    if (!(key in PARAMETER_CLASSES[name].value)) {
      throw new InputError([...path, key], 'namesNone', { what: 'parameterClass', got: null });
    }
    requireNumber(entry, [...path, key], CLASS_LIMITS[name] ?? { min: 0 });
  }
}
