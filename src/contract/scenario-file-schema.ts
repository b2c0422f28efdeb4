import { z } from 'zod';

/** The shape of a scenario file, formats 1 and 2 (docs/scenario-file.md); what the figures may be, the core decides. */
const text = z.string();
const number = z.number();
const pair = z.tuple([number, number]);
const profile = z.union([pair, z.tuple([number, number, number, number])]);
const twelve = z.array(number);

/** Zod copies every key that is not declared; remarks are allowed, misspelt fields are not. */
const fields = <T extends z.ZodRawShape>(shape: T) =>
  z.strictObject({
    ...shape,
    name: text.optional(),
    describe: text.optional(),
    note: text.optional(),
  });

const materialFields = {
  id: text.optional(),
  kind: text.optional(),
  moisture: number.optional(),
  c: number.optional(),
  n: number.optional(),
  cn: number.optional(),
  amm: number.optional(),
  density: number.optional(),
  q: number.optional(),
  s: number.optional(),
  w: number.optional(),
  h: number.optional(),
  char: number.optional(),
  b: number.optional(),
  size: text.optional(),
  rate: number.optional(),
  vol: number.optional(),
  barrier: number.optional(),
  char_temp: text.optional(),
  char_cap: number.optional(),
  charged: z.boolean().optional(),
  ash: number.optional(),
  bound: number.optional(),
  hum: number.optional(),
  moisture_range: z.array(number).nullable().optional(),
  cn_range: z.array(number).nullable().optional(),
  source: text.optional(),
};

const materialFile = z.union([
  text,
  fields({ chips: fields({ diam_cm: number, leaf: number.optional(), conifer: number.optional() }) }),
  fields({ ...materialFields, base: text.optional() }),
]);
const materialOverride = fields(materialFields);

const eventFile = z.discriminatedUnion('type', [
  fields({
    type: z.literal('apply'),
    date: text,
    material: materialFile.optional(),
    pile: text.optional(),
    kg: number,
    dug_cm: number.optional(),
    exposure: text.optional(),
    path: z.boolean().optional(),
    id: text.optional(),
    override: materialOverride.optional(),
  }),
  fields({
    type: z.literal('dig'),
    date: text,
    depth_cm: number,
    cohorts: z.union([z.literal('all'), z.array(text)]).optional(),
  }),
  fields({
    type: z.literal('fert'),
    date: text,
    n: number,
    depth_cm: number.optional(),
    nh4: number.optional(),
  }),
  fields({ type: z.literal('remove'), date: text, cohort: text, share: number }),
  fields({ type: z.literal('test'), date: text, mineral_n: profile }),
  fields({ type: z.literal('irrigate'), date: text, mm: number }),
]);

/** The whole file. */
export const scenarioFile = fields({
  format: z.union([z.literal(1), z.literal(2)]).optional(),
  start: text,
  end: text,
  climate: fields({ t: twelve, rain: twelve, pet: twelve }),
  soil: fields({
    som_pct: number,
    bulk_density: number,
    sample_cm: number.optional(),
    clay: number.optional(),
    root_cm: number.optional(),
    cn: number.optional(),
    ph: number.optional(),
    history: text.optional(),
    mineral_n: profile.optional(),
    deficit0: pair.optional(),
  }),
  events: z.array(eventFile).optional(),
  crops: z
    .array(
      fields({
        id: text,
        plant: text,
        harvest: text,
        n_demand: number,
        root_cm: number,
        legume: z.boolean().optional(),
        fix_share: number.optional(),
        perennial: z.boolean().optional(),
        deep_share: number.optional(),
        root_c: number.optional(),
        residue_share: number.optional(),
        residue_material: materialFile.optional(),
        dug_cm: number.optional(),
      }),
    )
    .optional(),
  piles: z
    .array(
      fields({
        id: text,
        start: text,
        end: text,
        mix: z.array(fields({ material: materialFile, kg: number })),
        turned: z.boolean().optional(),
        hot: z.boolean().optional(),
        moisture: number.optional(),
        kind: text.optional(),
        steps_per_day: number.optional(),
      }),
    )
    .optional(),
  irrigation: fields({ months: z.array(number), trigger: number, refill: number }).optional(),
  deposition: number.optional(),
  params: z.record(text, z.unknown()).optional(),
  weather: fields({
    seed: number,
    t_sd: number.optional(),
    rain_sd: number.optional(),
    year_share: number.optional(),
    pet_t: number.optional(),
    pet_rain: number.optional(),
  }).optional(),
  steps_per_day: number.optional(),
  report_every: number.optional(),
  supplement: fields({
    dates: z.array(text),
    crops: z.union([z.literal('all'), z.array(text)]).optional(),
    availability: number.optional(),
    max_dose: number.optional(),
  }).optional(),
});

export type ScenarioFile = z.infer<typeof scenarioFile>;
export type EventFile = z.infer<typeof eventFile>;
export type MaterialFile = z.infer<typeof materialFile>;
export type MaterialFields = z.infer<typeof materialOverride>;
