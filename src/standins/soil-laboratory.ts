import { Hono } from 'hono';
import { dayNumberFromIso, isoDateOf, seededStream } from '../core/ground/index.ts';
import { drawAround } from './around.ts';
import { faultsOf, type Faults } from './faults.ts';
import type { LabReport, LabSample, SampleSent } from '../contract/instruments.ts';

/** How far two samples of one bed lie apart in a laboratory (all set here). */
const NOISE = { ph: 0.1, organicMatterShare: 0.05, mineralNitrogenShare: 0.2 } as const;
/** How far a garden is from what its book says, as a share of the mineral nitrogen and of the organic matter (set here). */
const HIDDEN_SHARE = 0.15;
const USUAL_PH = 6.4;

/** A number that goes with a text: the same for the same text. */
function numberOf(text: string): number {
  let sum = 7;
  for (let i = 0; i < text.length; i++) sum = (sum * 31 + text.charCodeAt(i)) % 1e9;
  return sum;
}

const rounded = (value: number, decimals: number): number => Number(Math.max(0, value).toFixed(decimals));

/**
 * A soil laboratory that is not there: takes a sample of a bed, and answers days later with a report in JSON or CSV.
 * What the ground truly holds differs from the book a little, the same way for the same bed; the laboratory adds its
 * own scatter. The same seed gives the same reports. With faults its reports say what cannot be.
 */
export function soilLaboratory(seed: number, days: number, faults: Faults = faultsOf(false)) {
  const kept = new Map<string, LabSample & { readonly report: LabReport }>();
  return new Hono()
    .use(faults.late)
    .post('/samples', async (c) => {
      const sent = await c.req.json<SampleSent>();
      const id = `S${String(kept.size + 1).padStart(4, '0')}`;
      const sample = {
        id,
        bedId: sent.bedId,
        sentOn: sent.date,
        readyOn: isoDateOf(dayNumberFromIso(sent.date, ['date']) + days),
        report: reportOf(sent, seed),
      };
      kept.set(id, sample);
      return c.json(asListed(sample), 201);
    })
    .get('/samples', (c) =>
      c.json(
        { samples: [...kept.values()].filter(({ bedId }) => bedId === c.req.query('bed')).map(asListed) },
        200,
      ),
    )
    .get('/samples/:file', (c) => {
      const [, id = '', kind = 'json'] = /^(\w+)\.(json|csv)$/.exec(c.req.param('file')) ?? [];
      const sample = kept.get(id);
      if (!sample) return c.json({ error: 'no such sample' }, 404);
      if ((c.req.query('on') ?? '') < sample.readyOn) return c.json({ readyOn: sample.readyOn }, 202);
      return kind === 'csv'
        ? c.body(csvOf(sample.report), 200, { 'Content-Type': 'text/csv' })
        : c.json(faults.isFaulty ? { ...sample.report, organicMatterPct: 1e4 } : sample.report, 200);
    });
}

const asListed = ({ id, bedId, sentOn, readyOn }: LabSample): LabSample => ({ id, bedId, sentOn, readyOn });

function reportOf(sent: SampleSent, seed: number): LabReport {
  const hidden = seededStream(seed + numberOf(sent.bedId));
  const scatter = seededStream(seed + numberOf(sent.bedId + sent.date));
  const trueMineral = sent.mineralNitrogenKgPerHa * (1 + HIDDEN_SHARE * drawAround(hidden));
  const trueOrganic = sent.organicMatterPct * (1 + HIDDEN_SHARE * 0.5 * drawAround(hidden));
  const truePh = (sent.ph ?? USUAL_PH) + 0.15 * drawAround(hidden);
  return {
    sample: sent.bedName,
    date: sent.date,
    sampledDepthCm: sent.sampledDepthCm,
    ph: rounded(truePh + NOISE.ph * drawAround(scatter), 1),
    organicMatterPct: rounded(trueOrganic * (1 + NOISE.organicMatterShare * drawAround(scatter)), 1),
    mineralNitrogenKgPerHa: rounded(trueMineral * (1 + NOISE.mineralNitrogenShare * drawAround(scatter)), 0),
  };
}

const csvOf = ({
  sample,
  date,
  sampledDepthCm,
  ph,
  organicMatterPct,
  mineralNitrogenKgPerHa,
}: LabReport): string =>
  [
    'sample,date,depth (cm),pH,organic matter (%),mineral N (kg/ha)',
    [
      `"${sample.replaceAll('"', '""')}"`,
      date,
      sampledDepthCm,
      ph,
      organicMatterPct,
      mineralNitrogenKgPerHa,
    ].join(','),
    '',
  ].join('\r\n');
