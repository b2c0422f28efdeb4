import { EXPOSURES } from '../../../records/vocabulary.ts';
import { LARGEST_SEED, type Material, type SeededWeather, checkMaterial } from '../../ground/index.ts';
import { InputError, requireNumber, requireOneOf, type FieldPath } from '../../../refusals/input-error.ts';
import { residueId } from './events.ts';
import {
  CONTACT_ZONE_CM,
  FEED_AMMONIUM_SHARE,
  isFromPile,
  isFromStock,
  type Apply,
  type BedEvent,
  type BedScenario,
  type CropPlan,
  type PilePlan,
} from './scenario.ts';
import { checkParameters } from './check-parameters.ts';
import { SOIL_HISTORIES } from './parameters.ts';

/** Limits of what a gardener can mean; beyond them a figure is taken for a slip of the pen. */
export const THICKEST_LAYER_CM = 100;
export const HEAVIEST_LAYER_DRY_KG_PER_M2 = 500;
const SHALLOWEST_ROOT_ZONE_CM = 10;
const DEEPEST_ROOT_ZONE_CM = 300;
const SOIL_PH = { min: 3, max: 11 } as const;
const MOST_ROOT_CARBON_G = 2000;
const MONTHS = 12;

/** Throws InputError naming the field unless the model can run the scenario. */
export function checkScenario(scenario: BedScenario): void {
  requireNumber(scenario.startDay, ['startDay']);
  requireNumber(scenario.endDay, ['endDay']);
  if (scenario.endDay <= scenario.startDay) {
    throw new InputError(['endDay'], 'notAfterTheStart');
  }
  checkClimate(scenario);
  checkSoil(scenario);
  checkSteps(scenario.stepsPerDay, ['stepsPerDay']);
  requireNumber(scenario.depositionGPerM2Year, ['depositionGPerM2Year'], { min: 0 });
  if (scenario.parameters) checkParameters(scenario.parameters);
  if (scenario.irrigation) checkIrrigation(scenario);
  if (scenario.seededWeather) checkWeather(scenario.seededWeather);
  scenario.piles.forEach((pile, i) => checkPile(pile, ['piles', i]));
  refuseRepeats(scenario.piles, 'piles');
  scenario.crops.forEach((crop, i) => checkCrop(crop, scenario, ['crops', i]));
  refuseRepeats(scenario.crops, 'crops');
  scenario.events.forEach((event, i) => checkEvent(event, scenario, ['events', i]));
  checkCohortNames(scenario);
  checkPileBalances(scenario);
}

function checkClimate({ climate }: BedScenario): void {
  const lists = {
    temperatureC: { min: -60, max: 60 },
    rainMm: { min: 0 },
    evapotranspirationMm: { min: 0 },
  } as const;
  for (const name of Object.keys(lists) as (keyof typeof lists)[]) {
    const values = climate[name];
    if (!Array.isArray(values) || values.length !== MONTHS) {
      throw new InputError(['climate', name], 'wrongList', { wanted: 'twelveMonths' });
    }
    values.forEach((value, i) => requireNumber(value, ['climate', name, i], lists[name]));
  }
}

function checkSoil({ soil }: BedScenario): void {
  const at = (name: string) => ['soil', name];
  requireNumber(soil.organicMatterPct, at('organicMatterPct'), { min: 0, max: 100 });
  requireNumber(soil.bulkDensityGPerCm3, at('bulkDensityGPerCm3'), { min: 0.05, max: 2.5 });
  requireNumber(soil.samplingDepthCm, at('samplingDepthCm'), { above: 0, max: 200 });
  requireNumber(soil.clayPct, at('clayPct'), { min: 0, max: 100 });
  requireNumber(soil.rootZoneCm, at('rootZoneCm'), {
    min: SHALLOWEST_ROOT_ZONE_CM,
    max: DEEPEST_ROOT_ZONE_CM,
  });
  requireNumber(soil.carbonToNitrogen, at('carbonToNitrogen'), { above: 0 });
  requireNumber(soil.ph, at('ph'), SOIL_PH);
  requireOneOf(soil.history, at('history'), SOIL_HISTORIES);
  checkMineralNitrogen(soil.mineralNGPerM2, at('mineralNGPerM2'));
  checkFigures(soil.deficitMm, [2], at('deficitMm'), 'contactAndRoot');
}

function checkMineralNitrogen(figures: readonly number[], path: FieldPath): void {
  checkFigures(figures, [2, 4], path, 'zonesOrHalves');
}

function checkFigures(
  figures: readonly number[],
  lengths: readonly number[],
  path: FieldPath,
  wanted: 'zonesOrHalves' | 'contactAndRoot',
): void {
  if (!Array.isArray(figures) || !lengths.includes(figures.length)) {
    throw new InputError(path, 'wrongList', { wanted });
  }
  figures.forEach((value, i) => requireNumber(value, [...path, i], { min: 0 }));
}

/** What weather may stray by. */
const WEATHER_LIMITS = {
  temperatureSdC: { min: 0, max: 10 },
  rainSd: { min: 0, max: 2 },
  yearShare: { min: 0, max: 1 },
  evapotranspirationPerC: { min: 0, max: 0.2 },
  evapotranspirationPerLogRain: { min: 0, max: 1 },
} as const;

function checkWeather(weather: SeededWeather): void {
  const path = (name: string) => ['seededWeather', name];
  if (!Number.isInteger(requireNumber(weather.seed, path('seed'), { min: 0, max: LARGEST_SEED }))) {
    throw new InputError(path('seed'), 'notWhole', { got: weather.seed });
  }
  for (const name of Object.keys(WEATHER_LIMITS) as (keyof typeof WEATHER_LIMITS)[]) {
    requireNumber(weather[name], path(name), WEATHER_LIMITS[name]);
  }
}

function checkSteps(steps: number, path: FieldPath): void {
  requireNumber(steps, path, { min: 1 });
  if (!Number.isInteger(steps)) {
    throw new InputError(path, 'notWhole', { got: steps });
  }
}

function checkIrrigation({ irrigation }: BedScenario): void {
  irrigation!.months.forEach((month, i) =>
    requireNumber(month, ['irrigation', 'months', i], { min: 1, max: MONTHS }),
  );
  requireNumber(irrigation!.trigger, ['irrigation', 'trigger'], { min: 0, max: 1 });
  requireNumber(irrigation!.refill, ['irrigation', 'refill'], { min: 0, max: 1 });
}

function checkPile(pile: PilePlan, path: FieldPath): void {
  if (pile.endDay <= pile.startDay) {
    throw new InputError([...path, 'endDay'], 'notAfterTheStartOfThePile');
  }
  requireNumber(pile.moistureFactor, [...path, 'moistureFactor'], { min: 0, max: 1.5 });
  checkSteps(pile.stepsPerDay, [...path, 'stepsPerDay']);
  pile.mix.forEach(({ material, massFreshKg }, i) => {
    requireNumber(massFreshKg, [...path, 'mix', i, 'massFreshKg'], { above: 0 });
    checkMaterial(material, [...path, 'mix', i, 'material']);
  });
  if (!pile.mix.some(({ material }) => material.carbonFractionDryBasis > 0)) {
    throw new InputError([...path, 'mix'], 'holdsNoCarbon');
  }
}

function checkDay(day: number, scenario: BedScenario, path: FieldPath): void {
  requireNumber(day, path);
  if (day < scenario.startDay || day >= scenario.endDay) {
    throw new InputError(path, 'outsideTheRun');
  }
}

function checkCrop(crop: CropPlan, scenario: BedScenario, path: FieldPath): void {
  const at = (name: string) => [...path, name];
  checkDay(crop.plantDay, scenario, at('plantDay'));
  requireNumber(crop.harvestDay, at('harvestDay'));
  if (crop.harvestDay <= crop.plantDay) {
    throw new InputError(at('harvestDay'), 'notAfterPlanting', { isByDate: false });
  }
  requireNumber(crop.nitrogenDemandGPerM2, at('nitrogenDemandGPerM2'), { min: 0 });
  requireNumber(crop.rootDepthCm, at('rootDepthCm'), { min: CONTACT_ZONE_CM });
  if (crop.fixedShare !== undefined) {
    requireNumber(crop.fixedShare, at('fixedShare'), { min: 0, max: 1 });
  }
  requireNumber(crop.deepShare, at('deepShare'), { min: 0, max: 1 });
  refuseForeignFields(crop, path);
  if (crop.rootCarbonGPerM2 !== undefined) {
    requireNumber(crop.rootCarbonGPerM2, at('rootCarbonGPerM2'), { min: 0, max: MOST_ROOT_CARBON_G });
  }
  requireNumber(crop.residueShare, at('residueShare'), { min: 0, max: 1 });
  requireNumber(crop.residueDugDepthCm, at('residueDugDepthCm'), { min: 0 });
  if (crop.residueMaterial) {
    checkMaterial(crop.residueMaterial, at('residueMaterial'));
    if (!(crop.residueMaterial.nitrogenFractionDryBasis > 0)) {
      throw new InputError(at('residueMaterial'), 'holdsNoNitrogen');
    }
  } else if (crop.residueShare > 0) {
    throw new InputError(at('residueMaterial'), 'residueUnnamed');
  }
}

/** What only some crops can have is refused on others, not ignored. */
function refuseForeignFields(crop: CropPlan, path: FieldPath): void {
  if (crop.deepShare > 0 && !crop.isPerennial) {
    throw new InputError([...path, 'deepShare'], 'belongsToPerennial');
  }
  if (crop.fixedShare !== undefined && !crop.isLegume) {
    throw new InputError([...path, 'fixedShare'], 'belongsToLegume');
  }
}

function checkEvent(event: BedEvent, scenario: BedScenario, path: FieldPath): void {
  const at = (name: string) => [...path, name];
  requireOneOf(event.type, at('type'), ['apply', 'dig', 'feed', 'remove', 'soilTest', 'irrigate']);
  checkDay(event.day, scenario, at('day'));
  switch (event.type) {
    case 'apply':
      checkApplication(event, scenario, path);
      break;
    case 'dig':
      requireNumber(event.depthCm, at('depthCm'), { above: 0 });
      break;
    case 'feed':
      requireNumber(event.nitrogenGPerM2, at('nitrogenGPerM2'), { min: 0 });
      requireNumber(event.depthCm, at('depthCm'), { min: 0 });
      requireNumber(event.ammoniumShare ?? FEED_AMMONIUM_SHARE, at('ammoniumShare'), { min: 0, max: 1 });
      break;
    case 'remove':
      requireNumber(event.share, at('share'), { min: 0, max: 1 });
      requireNumber(event.humusShare ?? 0, at('humusShare'), { min: 0, max: 1 });
      break;
    case 'soilTest':
      checkMineralNitrogen(event.mineralNGPerM2, at('mineralNGPerM2'));
      break;
    case 'irrigate':
      requireNumber(event.waterMm, at('waterMm'), { min: 0 });
      break;
  }
}

function checkApplication(event: Apply, scenario: BedScenario, path: FieldPath): void {
  const at = (name: string) => [...path, name];
  requireNumber(event.massFreshKgPerM2, at('massFreshKgPerM2'), { above: 0 });
  requireNumber(event.dugDepthCm, at('dugDepthCm'), { min: 0 });
  requireOneOf(event.exposure, at('exposure'), EXPOSURES);
  if (isFromPile(event)) {
    const pile = scenario.piles.find(({ id }) => id === event.pileId);
    if (!pile) throw new InputError(at('pileId'), 'namesNone', { what: 'pile', got: event.pileId });
    if (event.day < pile.endDay) {
      throw new InputError(at('day'), 'beforeThePileEnds', { pileId: pile.id });
    }
    return;
  }
  if (isFromStock(event)) {
    const { dryMassG, dryDensityKgPerM3 } = event.opening;
    checkLayer(dryMassG / 1000, dryDensityKgPerM3, at('massFreshKgPerM2'));
    return;
  }
  checkMaterial(event.material, at('material'));
  checkLayerSize(event.material, event.massFreshKgPerM2, at('massFreshKgPerM2'));
}

/** Refuses a layer thicker or heavier than anyone lays; `massFreshKgPerM2` is what `path` names. */
export function checkLayerSize(material: Material, massFreshKgPerM2: number, path: FieldPath): void {
  const dryShare = 1 - material.moistureFractionWetBasis;
  checkLayer(massFreshKgPerM2 * dryShare, material.bulkDensityKgPerM3 * dryShare, path);
}

function checkLayer(dryKg: number, dryDensityKgPerM3: number, path: FieldPath): void {
  const thicknessCm = (dryKg / dryDensityKgPerM3) * 100;
  if (thicknessCm > THICKEST_LAYER_CM) {
    throw new InputError(path, 'layerTooThick', { thicknessCm, mostCm: THICKEST_LAYER_CM });
  }
  if (dryKg > HEAVIEST_LAYER_DRY_KG_PER_M2) {
    throw new InputError(path, 'layerTooHeavy', {
      dryKgPerM2: dryKg,
      mostKgPerM2: HEAVIEST_LAYER_DRY_KG_PER_M2,
    });
  }
}

function refuseRepeats(items: readonly { readonly id: string }[], list: string): void {
  const seen = new Set<string>();
  items.forEach(({ id }, i) => {
    if (seen.has(id)) throw new InputError([list, i, 'id'], 'usedTwice', { id });
    seen.add(id);
  });
}

/** One thing that names or opens a cohort, with where it stands in the scenario. */
interface CohortMention {
  readonly day: number;
  readonly run: (known: Map<string, number>) => void;
}

/** Walks events and harvests in the order of the run, so that a cohort is known only once it lies there. */
function checkCohortNames(scenario: BedScenario): void {
  const mentions: CohortMention[] = [
    ...scenario.events.map((event, i) => ({
      day: event.day,
      run: (known: Map<string, number>) => mentionEvent(event, ['events', i], known),
    })),
    ...scenario.crops
      .map((crop, i) => ({ crop, i }))
      .filter(({ crop }) => crop.residueShare > 0 && crop.harvestDay < scenario.endDay)
      .map(({ crop, i }) => ({
        day: crop.harvestDay,
        run: (known: Map<string, number>) => registerId(known, residueId(crop.id), ['crops', i, 'id']),
      })),
  ];
  mentions.sort((a, b) => a.day - b.day);
  const known = new Map<string, number>();
  for (const mention of mentions) mention.run(known);
}

function registerId(known: Map<string, number>, id: string, path: FieldPath): void {
  if (known.has(id)) throw new InputError(path, 'usedTwice', { id });
  known.set(id, known.size);
}

function mentionEvent(event: BedEvent, path: FieldPath, known: Map<string, number>): void {
  if (event.type === 'apply') {
    registerId(known, event.id ?? `c${known.size + 1}`, [...path, 'id']);
  } else if (event.type === 'dig' && event.cohortIds !== 'all') {
    event.cohortIds.forEach((id, k) => requireKnown(known, id, [...path, 'cohortIds', k]));
  } else if (event.type === 'remove') {
    requireKnown(known, event.cohortId, [...path, 'cohortId']);
  }
}

function requireKnown(known: Map<string, number>, id: string, path: FieldPath): void {
  if (!known.has(id)) {
    throw new InputError(path, 'namesNone', { what: 'layerByThen', got: id });
  }
}

const ROUNDING = 1e-9;

function checkPileBalances(scenario: BedScenario): void {
  const takenKg = new Map<string, number>();
  scenario.events.forEach((event, i) => {
    if (event.type !== 'apply' || !isFromPile(event)) return;
    const pile = scenario.piles.find(({ id }) => id === event.pileId)!;
    const inKg = pile.mix.reduce((sum, { massFreshKg }) => sum + massFreshKg, 0);
    const soFar = (takenKg.get(pile.id) ?? 0) + event.massFreshKgPerM2;
    takenKg.set(pile.id, soFar);
    if (soFar > inKg * (1 + ROUNDING)) {
      throw new InputError(['events', i, 'massFreshKgPerM2'], 'moreThanThePile', { pileId: pile.id, inKg });
    }
  });
}
