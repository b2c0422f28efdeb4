import type { ClimateNormals } from '../../../records/garden.ts';
import type { Treatment } from '../../../records/lot.ts';
import {
  type DayNumber,
  type MaterialKind,
  clamp,
  lostShare,
  temperatureModifier,
} from '../../ground/index.ts';
import {
  type ModelParameters,
  PILE_STEPS_PER_DAY,
  type RunningPile,
  agePileSubStep,
  ammoniaLostG,
  carbonRespiredG,
  drawMineralNitrogen,
  mineralNitrogenOf,
  mineralizedG,
  poolsOf,
  startPile,
} from '../../model/index.ts';
import {
  airFactor,
  heapTemperatureC,
  moistureFactor,
  moistureNextDay,
  restingMoisture,
  type TemperatureReading,
} from './keeping.ts';
import { ammoniaFreedom } from './heap-ammonia.ts';
import { alkaliShare, atMoisture, dryG, type LotCohort, type LotContents } from './lot-contents.ts';

/** Hotter than this no ammonium turns into nitrate (compost literature, from memory), degrees C. */
const NITRIFIES_BELOW_C = 40;
/**
 * Pace of that in raw matter against soil, and the days since something was put in between which it comes up to that of
 * soil: raw matter and ammonia hold it back; finished compost brings its nitrifiers (set here; calibrated by `heap-losses.test.ts`).
 */
const RAW_NITRIFICATION = 0.05;
const NITRIFIES_FROM_DAYS = 45;
const NITRIFIES_AS_SOIL_FROM_DAYS = 120;

function nitrificationPace(daysSinceAdded: number, isRipe: boolean): number {
  if (isRipe) return 1;
  const settled =
    (daysSinceAdded - NITRIFIES_FROM_DAYS) / (NITRIFIES_AS_SOIL_FROM_DAYS - NITRIFIES_FROM_DAYS);
  return RAW_NITRIFICATION + (1 - RAW_NITRIFICATION) * clamp(settled, 0, 1);
}

/** They bring nothing raw that would hold nitrifiers back. */
const RIPE_KINDS: ReadonlySet<MaterialKind> = new Set(['compost', 'char', 'none']);

/**
 * A hot heap turns more of what it works up into humus than cool matter does: with the pace of the model alone a rich one
 * loses 72 % of its carbon in a summer (set here; calibrated by `heap-losses.test.ts`).
 */
const HEAT_HUMIFICATION = 1.5;

const humifyingInHeat = (one: LotCohort): LotCohort => ({
  ...one,
  humificationFactor: one.humificationFactor * HEAT_HUMIFICATION,
});

/** What surrounds a lot while it ages. */
export interface LotSetting {
  readonly climate: ClimateNormals;
  readonly treatment: Treatment;
  /** Day its self-heating counts from: when it was made, or last added to. */
  readonly heatingFrom: DayNumber;
  readonly readings: readonly TemperatureReading[];
  readonly parameters: ModelParameters;
}

/** A lot some days older, and what went into the air meanwhile, g. */
export interface Aged {
  readonly contents: LotContents;
  readonly respiredCarbonG: number;
  readonly ammoniaG: number;
}

/**
 * Ages a lot day by day from the morning of `fromDay` to the morning of `untilDay` in the pile mode of the model, with
 * its own warmth, moisture and air, and with char taking up mineral nitrogen. `onMorning` sees it before each day.
 */
export function ageLot({
  start,
  fromDay,
  untilDay,
  setting,
  onMorning,
}: {
  readonly start: LotContents;
  readonly fromDay: DayNumber;
  readonly untilDay: DayNumber;
  readonly setting: LotSetting;
  readonly onMorning?: (day: DayNumber, read: () => LotContents) => void;
}): Aged {
  if (start.cohorts.length === 0) {
    for (let day = fromDay; day < untilDay; day++) onMorning?.(day, () => start);
    return { contents: start, respiredCarbonG: 0, ammoniaG: 0 };
  }
  const { parameters: p, climate, treatment } = setting;
  const cohorts = treatment.isHot ? start.cohorts.map(humifyingInHeat) : start.cohorts;
  const pile = startPile(cohorts, start.mineralNitrogenG, PILE_STEPS_PER_DAY, p);
  const char = start.cohorts.map(({ charHeldG, charCapacityG }) => ({ heldG: charHeldG, charCapacityG }));
  const dry = dryG(start);
  const alkali = alkaliShare(start);
  const isRipe = start.cohorts.every(({ kind }) => RIPE_KINDS.has(kind));
  let moisture = start.waterG / (start.waterG + dry);
  let days = 0;
  let ammoniumG = start.ammoniumG;
  const read = () => atMoisture(contentsOf(start, pile, char, days, ammoniumG), moisture);
  for (let day = fromDay; day < untilDay; day++) {
    onMorning?.(day, read);
    const heapC = heapTemperatureC({
      climate,
      day,
      treatment,
      heatingFrom: setting.heatingFrom,
      readings: setting.readings,
      p,
    });
    const warmth = temperatureModifier(heapC, p.frozenC, p.temperatureModifierCap);
    const modifier = warmth * airFactor(treatment, p) * moistureFactor(moisture);
    const nitrified =
      heapC < NITRIFIES_BELOW_C
        ? lostShare(nitrificationPace(day - setting.heatingFrom, isRipe) * p.nitrificationPerDay * modifier)
        : 0;
    const escape = warmth * ammoniaFreedom(treatment, moisture, alkali);
    ammoniumG = ageOneDay(pile, escape, modifier, ammoniumG) * (1 - nitrified);
    ammoniumG -= chargeChar(pile, char, ammoniumG, p);
    days += 1;
    moisture = moistureNextDay(moisture, restingMoisture(treatment.keeping, climate, day));
  }
  return {
    contents: read(),
    respiredCarbonG: carbonRespiredG(pile),
    ammoniaG: ammoniaLostG(pile),
  };
}

interface CharSites {
  heldG: number;
  readonly charCapacityG: number;
}

/** Ages a pile a day and returns what is then ammonium, g: it can escape, and microbes draw on it as on nitrate. */
function ageOneDay(pile: RunningPile, escape: number, modifier: number, ammoniumG: number): number {
  let left = ammoniumG;
  for (let s = 0; s < PILE_STEPS_PER_DAY; s++) {
    const before = {
      mineralG: mineralNitrogenOf(pile),
      freedG: mineralizedG(pile),
      lostG: ammoniaLostG(pile),
    };
    const share = before.mineralG > 0 ? left / before.mineralG : 1;
    agePileSubStep(pile, escape, modifier, share);
    const freedG = mineralizedG(pile) - before.freedG;
    const offeredG = before.mineralG + freedG - (ammoniaLostG(pile) - before.lostG);
    const kept = offeredG > 0 ? mineralNitrogenOf(pile) / offeredG : 0;
    left = Math.min(mineralNitrogenOf(pile), (left + freedG - (ammoniaLostG(pile) - before.lostG)) * kept);
  }
  return Math.max(0, left);
}

/**
 * Char sites fill from the ammonium around them as they do in a bed. Returns how much they took, g. Mutates pile and
 * char.
 */
function chargeChar(
  pile: RunningPile,
  char: readonly CharSites[],
  ammoniumG: number,
  p: ModelParameters,
): number {
  let takenG = 0;
  for (const sites of char) {
    if (sites.charCapacityG <= sites.heldG) continue;
    const wanted = (sites.charCapacityG - sites.heldG) * lostShare(1 / p.charFillingDays);
    const taken = Math.min(wanted, p.charDrawPerDay * (ammoniumG - takenG));
    sites.heldG += taken;
    takenG += taken;
  }
  drawMineralNitrogen(pile, takenG);
  return takenG;
}

function contentsOf(
  start: LotContents,
  pile: RunningPile,
  char: readonly CharSites[],
  days: number,
  ammoniumG: number,
): LotContents {
  const cohorts = start.cohorts.map((one, i): LotCohort => ({
    ...one,
    ...poolsOf(pile.cohorts[i]),
    charHeldG: char[i].heldG,
    ageDays: one.ageDays + days,
  }));
  return { cohorts, mineralNitrogenG: mineralNitrogenOf(pile), ammoniumG, waterG: 0 };
}
