import { AMOUNT_UNITS, type AmountUnit } from '../records/vocabulary.ts';
import { type BlendPart, blend } from '../core/yard/index.ts';
import {
  type FindMaterial,
  findLibraryMaterial,
  isDepthUnit,
  massFreshKgFromAmount,
} from '../core/ground/index.ts';
import { materialFinder } from '../core/bed/index.ts';
import { recordsOfFile } from '../contract/garden-records.ts';
import { numberOption, UsageError, type Arguments } from './arguments.ts';
import { gardenIn, readJson } from './files.ts';
import { csvText, jsonText, rowsOf } from './output.ts';

const PART = /^([\w-]+)=(\d+(?:\.\d+)?)([A-Za-z]\w*)$/;
/** No mix lies on a bed, so nothing is measured by its depth. */
const NO_BED_M2 = 1;

const isUnit = (unit: string): unit is AmountUnit =>
  (AMOUNT_UNITS as readonly string[]).includes(unit) && !isDepthUnit(unit as AmountUnit);

function partOf(word: string, findMaterial: FindMaterial): BlendPart {
  const [, materialId = '', amount = '', unit = ''] = PART.exec(word) ?? [];
  if (!isUnit(unit)) {
    const units = AMOUNT_UNITS.filter((one) => !isDepthUnit(one)).join(', ');
    throw new UsageError(
      `${word} must be written as material=amountunit, such as chips_branch=3barrow85L; units: ${units}`,
    );
  }
  const material = findMaterial(materialId);
  if (!material) throw new UsageError(`${materialId} names no material. Those of your own need --garden.`);
  const { bulkDensityKgPerM3 } = material;
  return {
    material,
    massFreshKg: massFreshKgFromAmount({
      amount: Number(amount),
      unit,
      measured: { bulkDensityKgPerM3, areaM2: NO_BED_M2 },
    }),
  };
}

/** What a mix of materials comes to. */
export function mix(args: Arguments): string {
  const { garden, water, csv } = args.options;
  const findMaterial: FindMaterial =
    garden === undefined ? findLibraryMaterial : materialFinder(recordsOfFile(gardenIn(readJson(garden))));
  if (args.words.length === 0)
    throw new UsageError('Name what goes into the mix, such as chips_branch=3barrow85L.');
  const waterL = numberOption('water', water) ?? 0;
  if (waterL < 0) throw new UsageError(`--water must be at least 0; got ${waterL}`);
  const result = blend(
    args.words.map((word) => partOf(word, findMaterial)),
    waterL,
  );
  return csv ? csvText(rowsOf([result])) : jsonText(result);
}
