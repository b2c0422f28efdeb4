import { clamp, lostShare, smoothStep } from '../../../ground/index.ts';
import type { Bed, BedState, SubStep } from '../bed.ts';
import { isOnSurface, type Cohort } from '../cohort.ts';

/** The next lower surface cohort, however thin; null when only soil lies beneath. */
function layerBeneath(cohorts: readonly Cohort[], i: number): Cohort | null {
  for (let below = i - 1; below >= 0; below--) if (isOnSurface(cohorts[below])) return cohorts[below];
  return null;
}

/** Less than this rests where it is: too little for any figure, and rain would go on washing it for ever. */
const TRACE_G = 1e-12;

/**
 * Rain washes ammonium and mineral nitrogen of the layers down, from the top layer on, while ammonia escapes and
 * ammonium nitrifies where it lies; the three compete. A sheet shields what lies beneath it from rain and air.
 */
export function washAndVolatilize({ state, constants }: Bed, step: SubStep): void {
  const { cohorts } = state;
  const p = constants.parameters;
  const warmth = step.q10Modifier * constants.ammoniaPhFactor * constants.dtDays;
  const nitrified = p.nitrificationPerDay * step.modifiers.surface * constants.dtDays;
  let shield = 1;
  for (let i = cohorts.length - 1; i >= 0; i--) {
    const cohort = cohorts[i];
    if (cohort.dugDepthCm !== 0) continue;
    const { traits } = cohort;
    const hasAmmonium = cohort.ammoniumN > TRACE_G;
    const hasLayer = cohort.layer.nitrogenG > TRACE_G;
    if (hasAmmonium || hasLayer || traits.ammoniaProneShare > 0) {
      const covered = cohort.coverCm > 0 ? Math.exp(-cohort.coverCm / p.ammoniaCoverCm) : 1;
      const escape = shield * warmth * covered;
      if (traits.ammoniaProneShare > 0) {
        setAmmoniaShares(
          cohort,
          (p.releasedAmmoniaShare * traits.ammoniaProneShare * escape) / constants.dtDays,
          p,
        );
      }
      const wash = (shield * step.waterMm) / p.washingMm;
      if (hasAmmonium) {
        const beneath = layerBeneath(cohorts, i);
        washAmmonium(
          state,
          step,
          cohort,
          beneath,
          wash,
          p.ammoniaLossPerDay * traits.ammoniaExposure * escape,
          nitrified,
        );
      }
      if (cohort.layer.nitrogenG > TRACE_G) {
        const thickness = clamp(cohort.thicknessCm / p.washedLayerCm, p.thinnestWashing, p.thickestWashing);
        washLayer(
          state,
          step,
          cohort,
          layerBeneath(cohorts, i),
          wash / thickness,
          p.layerAmmoniaLossPerDay * escape,
        );
      }
    }
    if (traits.vaporBarrier > 0 && cohort.openingStructuralC > 0) {
      shield *= 1 - traits.vaporBarrier * smoothStep(cohort.structuralC / cohort.openingStructuralC);
    }
  }
  step.soilShield = shield;
}

/** Ammonia share of what the two parts of a layer will set free; the part beneath is covered by the part above. */
function setAmmoniaShares(
  cohort: Cohort,
  share: number,
  p: { readonly largestReleasedAmmoniaShare: number; readonly ammoniaCoverCm: number },
): void {
  const upperCm = (1 - cohort.contactShare) * cohort.thicknessCm;
  cohort.upperAmmonia = Math.min(p.largestReleasedAmmoniaShare, share);
  cohort.contactAmmonia = Math.min(
    p.largestReleasedAmmoniaShare,
    upperCm > 0 ? share * Math.exp(-upperCm / p.ammoniaCoverCm) : share,
  );
}

const isSoil = (beneath: Cohort | null): boolean => beneath === null || beneath.traits.countsAsSoil;

function washAmmonium(
  state: BedState,
  step: SubStep,
  cohort: Cohort,
  beneath: Cohort | null,
  wash: number,
  escape: number,
  nitrified: number,
): void {
  const { postings, contactZone } = state;
  const rate = wash + escape + nitrified;
  if (rate === 0) return;
  const perRate = (cohort.ammoniumN * lostShare(rate)) / rate;
  const ammonia = perRate * escape;
  const washed = perRate * wash;
  const nitrate = perRate * nitrified;
  cohort.ammoniumN -= ammonia + washed + nitrate;
  cohort.volatilizedN += ammonia;
  postings.ammoniumVolatilized += ammonia;
  if (isSoil(beneath)) {
    contactZone.nitrogenG += washed;
    step.ammoniumToContactN += washed;
    cohort.releasedToContactZoneN += washed;
    postings.ammoniumToContactZone += washed;
  } else {
    beneath!.layer.nitrogenG += washed;
    cohort.releasedToLayersN += washed;
    postings.ammoniumToLayers += washed;
  }
  if (cohort.traits.countsAsSoil) {
    contactZone.nitrogenG += nitrate;
    step.nitrateToContactN += nitrate;
    cohort.releasedToContactZoneN += nitrate;
    postings.ammoniumToContactZone += nitrate;
  } else {
    cohort.layer.nitrogenG += nitrate;
    cohort.releasedToLayersN += nitrate;
    postings.ammoniumToLayers += nitrate;
  }
}

function washLayer(
  state: BedState,
  step: SubStep,
  cohort: Cohort,
  beneath: Cohort | null,
  wash: number,
  escape: number,
): void {
  const { postings, contactZone } = state;
  const rate = wash + escape;
  if (rate === 0) return;
  const perRate = (cohort.layer.nitrogenG * lostShare(rate)) / rate;
  const ammonia = perRate * escape;
  const washed = perRate * wash;
  cohort.layer.nitrogenG -= ammonia + washed;
  cohort.volatilizedN += ammonia;
  postings.layersVolatilized += ammonia;
  if (isSoil(beneath)) {
    contactZone.nitrogenG += washed;
    step.washedToContactN += washed;
    postings.layersToContactZone += washed;
  } else {
    beneath!.layer.nitrogenG += washed;
  }
}
