import type { DayNumber, FindMaterial } from '../../ground/index.ts';
import { InputError, requireNumber, requireOneOf, type FieldPath } from '../../../refusals/input-error.ts';
import { type AmountUnit, KEEPINGS } from '../../../records/vocabulary.ts';
import type {
  BurnMovement,
  Ingredient,
  MakeMovement,
  MoveMovement,
  ReadingMovement,
  ReceiveMovement,
  Movement,
  StocktakeMovement,
} from '../../../records/movement.ts';
import { contentsOnArrival, requireMoisture } from './arriving.ts';
import { charOf } from './charring.ts';
import {
  atAnalysis,
  atBulkDensity,
  atMoisture,
  carbonG,
  dryG,
  freshKg,
  isEmpty,
  NOTHING,
  scaleContents,
  mixContents,
  type LotContents,
} from './lot-contents.ts';
import { figuresOf } from './lot-figures.ts';
import {
  adjustToFound,
  askedKg,
  bringTo,
  putIn,
  takeOut,
  type RunningLot,
  type StockSetting,
} from './stock-ledger.ts';

/** What a movement is carried out on. */
export interface MovementContext {
  readonly lots: ReadonlyMap<string, RunningLot>;
  readonly day: DayNumber;
  readonly path: FieldPath;
  readonly setting: StockSetting;
  readonly findMaterial: FindMaterial;
  /** What fires gave, by the movement; the burns add to it. */
  readonly burnt: Map<string, BurnResult>;
}

/** A burn as the books have it, dry masses. */
export interface BurnResult {
  /** Without the pieces that did not char. */
  readonly dryWoodKg: number;
  /** 0 until it is measured. */
  readonly dryCharKg: number;
  readonly charCarbonKg: number;
}

/** Carries out one movement of the stock on its day. Throws InputError naming the field. Mutates the lots. */
export function carryOutMovement(movement: Movement, context: MovementContext): void {
  switch (movement.type) {
    case 'receive':
      return receive(movement, context);
    case 'make':
      return make(movement, context);
    case 'move':
      return move(movement, context);
    case 'takeOut': {
      takePortion(movement, context, postingOf(movement, context));
      return;
    }
    case 'stocktake':
      return takeStock(movement, context);
    case 'keep': {
      const lot = lotOf(movement.lotId, context);
      requireOneOf(movement.keeping, [...context.path, 'keeping'], KEEPINGS);
      bringTo(lot, context.day, context.setting);
      lot.treatment = movement;
      return;
    }
    case 'turn': {
      bringTo(filledLot(movement.lotId, context), context.day, context.setting);
      return;
    }
    case 'water':
      return addWater({ lotId: movement.lotId, waterL: movement.waterL, movement, context });
    case 'reading':
      return applyReading(movement, context);
    case 'sign':
    case 'crush': {
      bringTo(filledLot(movement.lotId, context), context.day, context.setting);
      return;
    }
    case 'burn':
      return burn(movement, context);
  }
}

const postingOf = (movement: Movement, { day }: MovementContext) => ({
  day,
  cause: { type: 'movement' as const, movementId: movement.id },
  isPlanned: movement.state === 'planned',
});

function lotOf(lotId: string, { lots, path }: MovementContext, field = 'lotId'): RunningLot {
  const lot = lots.get(lotId);
  if (!lot) throw new InputError([...path, field], 'namesNone', { what: 'stock', got: lotId });
  return lot;
}

/** A lot that has been brought to the day, with something in it. */
function filledLot(lotId: string, context: MovementContext, field = 'lotId'): RunningLot {
  const lot = lotOf(lotId, context, field);
  bringTo(lot, context.day, context.setting);
  if (lot.openedOn !== null) return lot;
  throw new InputError([...context.path, field], 'nothingInIt', { lotName: lot.record.name });
}

function receive(movement: ReceiveMovement, context: MovementContext): void {
  const lot = lotOf(movement.lotId, context);
  bringTo(lot, context.day, context.setting);
  putIn(
    lot,
    contentsOnArrival({
      materialId: movement.materialId,
      movement,
      seen: movement,
      context,
      path: context.path,
    }),
    postingOf(movement, context),
  );
}

/**
 * Moisture of wood by hand and ear, share of fresh mass: air-dry wood that rings, green wood among it, fresh from the tree
 * (the Wood Handbook of the Forest Products Laboratory gives 12 to 20 % for air-dry and about half for green wood, from
 * memory).
 */
const WOOD_MOISTURE = { dry: 0.17, halfDry: 0.33, green: 0.5 } as const;

const AS_BOUGHT = { moistureFractionWetBasis: null, bulkDensityKgPerM3: null, seasonedMonths: 0 };

/** One ingredient, out of stock or from outside. */
function gather({
  ingredient,
  into,
  movement,
  moisture = null,
  context,
  path,
}: {
  readonly ingredient: Ingredient;
  readonly into: string;
  readonly movement: Movement;
  /** Of what comes from outside, as it was told; null takes the material's own. */
  readonly moisture?: number | null;
  readonly context: MovementContext;
  readonly path: FieldPath;
}): LotContents {
  if (ingredient.lotId === null)
    return contentsOnArrival({
      materialId: ingredient.materialId,
      movement: ingredient,
      seen: { ...AS_BOUGHT, moistureFractionWetBasis: moisture },
      context,
      path,
    });
  if (ingredient.lotId === into) {
    throw new InputError([...path, 'lotId'], 'madeOfItself');
  }
  return takePortion(
    { ...ingredient, lotId: ingredient.lotId },
    { ...context, path },
    postingOf(movement, context),
  );
}

function takePortion(
  portion: { readonly lotId: string; readonly amount: number; readonly unit: AmountUnit },
  context: MovementContext,
  posting: ReturnType<typeof postingOf>,
): LotContents {
  const lot = filledLot(portion.lotId, context);
  const at = [...context.path, 'amount'];
  const massKg = askedKg({ lot, amount: portion.amount, unit: portion.unit, areaM2: 1, path: at });
  return takeOut({ lot, massFreshKg: massKg, posting, setting: context.setting, path: at });
}

function make(movement: MakeMovement, context: MovementContext): void {
  const lot = lotOf(movement.lotId, context);
  if (movement.ingredients.length === 0) {
    throw new InputError([...context.path, 'ingredients'], 'emptyMix', { isAtTheBench: false });
  }
  requireNumber(movement.waterL, [...context.path, 'waterL'], { min: 0 });
  bringTo(lot, context.day, context.setting);
  const parts = movement.ingredients.map((ingredient, i) =>
    gather({
      ingredient,
      into: movement.lotId,
      movement,
      context,
      path: [...context.path, 'ingredients', i],
    }),
  );
  const mixed = mixContents(parts);
  putIn(lot, { ...mixed, waterG: mixed.waterG + movement.waterL * 1000 }, postingOf(movement, context));
}

function move(movement: MoveMovement, context: MovementContext): void {
  if (movement.toLotId === movement.lotId) {
    throw new InputError([...context.path, 'toLotId'], 'intoItself');
  }
  const target = lotOf(movement.toLotId, context, 'toLotId');
  const source = filledLot(movement.lotId, context);
  bringTo(target, context.day, context.setting);
  const { heatingFrom } = source;
  const wasEmpty = isEmpty(target.contents);
  const moved = takePortion(movement, context, postingOf(movement, context));
  putIn(target, moved, postingOf(movement, context));
  // A part of a heap is as far on its way as the heap it came from.
  if (wasEmpty) target.heatingFrom = heatingFrom;
}

function takeStock(movement: StocktakeMovement, context: MovementContext): void {
  const lot = filledLot(movement.lotId, context);
  const at = [...context.path, 'amount'];
  requireNumber(movement.amount, at, { min: 0 });
  const source = isEmpty(lot.contents) ? lot.lastContents : lot.contents;
  const foundKg =
    movement.amount === 0
      ? 0
      : askedKg({ lot, amount: movement.amount, unit: movement.unit, areaM2: 1, path: at });
  const found = foundKg === 0 ? NOTHING : scaleContents(source, foundKg / freshKg(source));
  adjustToFound(lot, found, postingOf(movement, context));
}

function addWater({
  lotId,
  waterL,
  movement,
  context,
}: {
  readonly lotId: string;
  readonly waterL: number;
  readonly movement: Movement;
  readonly context: MovementContext;
}): void {
  const lot = filledLot(lotId, context);
  requireNumber(waterL, [...context.path, 'waterL'], { above: 0 });
  const wetter = { ...lot.contents, waterG: lot.contents.waterG + waterL * 1000 };
  const { moistureFractionWetBasis } = figuresOf(wetter);
  // What a heap cannot hold runs out at the bottom.
  adjustToFound(
    lot,
    moistureFractionWetBasis > HOLDS_AT_MOST ? atMoisture(wetter, HOLDS_AT_MOST) : wetter,
    postingOf(movement, context),
  );
}

/** Organic material holds about three times its dry weight of water (set here). */
const HOLDS_AT_MOST = 0.75;

function applyReading(movement: ReadingMovement, context: MovementContext): void {
  const lot = filledLot(movement.lotId, context);
  const at = (field: string) => [...context.path, field];
  if (movement.temperatureC !== null) {
    requireNumber(movement.temperatureC, at('temperatureC'), { min: -40, max: 95 });
  }
  if (isEmpty(lot.contents)) return;
  let found = lot.contents;
  if (movement.moistureFractionWetBasis !== null) {
    requireMoisture(movement.moistureFractionWetBasis, at('moistureFractionWetBasis'));
    found = atMoisture(found, movement.moistureFractionWetBasis);
  }
  if (movement.bulkDensityKgPerM3 !== null) {
    requireNumber(movement.bulkDensityKgPerM3, at('bulkDensityKgPerM3'), { min: 10, max: 2500 });
    found = atBulkDensity(found, movement.bulkDensityKgPerM3);
  }
  found = analysed(found, movement, at);
  if (found !== lot.contents) adjustToFound(lot, found, postingOf(movement, context));
}

function analysed(
  contents: LotContents,
  { carbonFractionDryBasis: carbon, nitrogenFractionDryBasis: nitrogen }: ReadingMovement,
  at: (field: string) => FieldPath,
): LotContents {
  if (carbon === null && nitrogen === null) return contents;
  if (carbon !== null) requireNumber(carbon, at('carbonFractionDryBasis'), { above: 0, max: 0.95 });
  if (nitrogen !== null) requireNumber(nitrogen, at('nitrogenFractionDryBasis'), { above: 0, max: 0.5 });
  return atAnalysis(contents, {
    ...(carbon === null ? {} : { carbonFractionDryBasis: carbon }),
    ...(nitrogen === null ? {} : { nitrogenFractionDryBasis: nitrogen }),
  });
}

function burn(movement: BurnMovement, context: MovementContext): void {
  const { path, setting } = context;
  const lot = lotOf(movement.lotId, context);
  if (movement.feedstock.length === 0) {
    throw new InputError([...path, 'feedstock'], 'nothingBurnt');
  }
  bringTo(lot, context.day, setting);
  const posting = postingOf(movement, context);
  const fed = mixContents(
    movement.feedstock.map((one, i) =>
      gather({
        ingredient: one,
        into: movement.lotId,
        movement,
        moisture: movement.log?.dryness ? WOOD_MOISTURE[movement.log.dryness] : null,
        context,
        path: [...path, 'feedstock', i],
      }),
    ),
  );
  requireNumber(movement.unburntShare, [...path, 'unburntShare'], { min: 0, max: 0.95 });
  putUnburnt(movement, scaleContents(fed, movement.unburntShare), context);
  const burntWood = scaleContents(fed, 1 - movement.unburntShare);
  const dryWoodKg = dryG(burntWood) / 1000;
  if (movement.yield === null) {
    context.burnt.set(movement.id, { dryWoodKg, dryCharKg: 0, charCarbonKg: 0 });
    return;
  }
  const char = charOf({
    fed: burntWood,
    found: movement.yield,
    charTemperature: movement.charTemperature,
    p: setting.parameters,
    path: [...path, 'yield'],
  });
  context.burnt.set(movement.id, {
    dryWoodKg,
    dryCharKg: dryG(char) / 1000,
    charCarbonKg: carbonG(char) / 1000,
  });
  putIn(lot, char, posting);
}

/** Pieces that did not char lie where the gardener put them, or where they came from. Mutates that lot. */
function putUnburnt(movement: BurnMovement, pieces: LotContents, context: MovementContext): void {
  const toLotId = movement.unburntToLotId ?? movement.feedstock[0].lotId;
  if (toLotId === null) return;
  if (toLotId === movement.lotId) {
    throw new InputError([...context.path, 'unburntToLotId'], 'unburntAmongChar');
  }
  const lot = lotOf(toLotId, context, 'unburntToLotId');
  if (isEmpty(pieces)) return;
  const { heatingFrom } = lot;
  const wasEmpty = isEmpty(lot.contents);
  bringTo(lot, context.day, context.setting);
  putIn(lot, pieces, postingOf(movement, context));
  // A few charred ends do not set a heap going again.
  if (!wasEmpty) lot.heatingFrom = heatingFrom;
}
