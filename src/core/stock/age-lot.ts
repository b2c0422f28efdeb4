import type { ClimateNormals } from '../climate/climate.ts';
import type { DayNumber } from '../climate/calendar.ts';
import { temperatureModifier } from '../climate/modifiers.ts';
import { lostShare } from '../numerics/exponential-loss.ts';
import type { ModelParameters } from '../simulation/parameters.ts';
import {
  agePileSubStep,
  ammoniaLostG,
  carbonRespiredG,
  drawMineralNitrogen,
  mineralNitrogenOf,
  poolsOf,
  startPile,
  type RunningPile,
} from '../simulation/pile-run.ts';
import { DEFAULT_STEPS_PER_DAY } from '../simulation/scenario.ts';
import {
  airFactor,
  heapTemperatureC,
  moistureFactor,
  moistureNextDay,
  restingMoisture,
  type TemperatureReading,
  type Treatment,
} from './keeping.ts';
import { atMoisture, dryG, type LotCohort, type LotContents } from './lot-contents.ts';

/** Largest share of the mineral nitrogen that char takes in a day (S7.3 of the model). */
const CHAR_DRAW_PER_DAY = 0.1;

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
export function ageLot(
  start: LotContents,
  fromDay: DayNumber,
  untilDay: DayNumber,
  setting: LotSetting,
  onMorning?: (day: DayNumber, read: () => LotContents) => void,
): Aged {
  if (start.cohorts.length === 0) {
    for (let day = fromDay; day < untilDay; day++) onMorning?.(day, () => start);
    return { contents: start, respiredCarbonG: 0, ammoniaG: 0 };
  }
  const { parameters: p, climate, treatment } = setting;
  const pile = startPile(start.cohorts, start.mineralNitrogenG, DEFAULT_STEPS_PER_DAY, p);
  const char = start.cohorts.map(({ charHeldG, charCapacityG }) => ({ heldG: charHeldG, charCapacityG }));
  const dry = dryG(start);
  let moisture = start.waterG / (start.waterG + dry);
  let days = 0;
  const read = () => atMoisture(contentsOf(start, pile, char, days), moisture);
  for (let day = fromDay; day < untilDay; day++) {
    onMorning?.(day, read);
    const heapC = heapTemperatureC(climate, day, treatment, setting.heatingFrom, setting.readings, p);
    const warmth = temperatureModifier(heapC, p.frozenC, p.temperatureModifierCap);
    const modifier = warmth * airFactor(treatment, p) * moistureFactor(moisture);
    for (let s = 0; s < DEFAULT_STEPS_PER_DAY; s++) agePileSubStep(pile, warmth, modifier);
    chargeChar(pile, char, p);
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

/** Char sites fill from the mineral nitrogen around them as they do in a bed. Mutates pile and char. */
function chargeChar(pile: RunningPile, char: readonly CharSites[], p: ModelParameters): void {
  for (const sites of char) {
    if (sites.charCapacityG <= sites.heldG) continue;
    const wanted = (sites.charCapacityG - sites.heldG) * lostShare(1 / p.charFillingDays);
    const taken = Math.min(wanted, CHAR_DRAW_PER_DAY * mineralNitrogenOf(pile));
    sites.heldG += taken;
    drawMineralNitrogen(pile, taken);
  }
}

function contentsOf(
  start: LotContents,
  pile: RunningPile,
  char: readonly CharSites[],
  days: number,
): LotContents {
  const cohorts = start.cohorts.map((one, i): LotCohort => ({
    ...one,
    ...poolsOf(pile.task.cohorts, i),
    charHeldG: char[i].heldG,
    ageDays: one.ageDays + days,
  }));
  return { cohorts, mineralNitrogenG: mineralNitrogenOf(pile), waterG: 0 };
}
