import { Hono } from 'hono';
import { weatherSpan } from '../../contract/weather-station.ts';
import { query } from './validated.ts';
import type { AppContext } from '../app-context.ts';
import { readProbe, readScale, reportOn, samplesOf, sendSample } from '../instruments.ts';
import { readWeather } from '../weather-station.ts';
import { sampleOf } from '../soil-samples.ts';

/** Scale, probe and laboratory, read where they answer: what they say goes into the same fields as a typed figure. */
export const instrumentRoutes = ({ instruments = {}, stores, today }: AppContext) =>
  new Hono()
    .get('/', (c) =>
      c.json(
        {
          scale: instruments.scale !== undefined,
          probe: instruments.probe !== undefined,
          laboratory: instruments.laboratory !== undefined,
          weather: instruments.weather !== undefined,
        },
        200,
      ),
    )
    .get('/scale', async (c) => c.json(await readScale(instruments), 200))
    .get('/probe', async (c) => c.json(await readProbe(instruments), 200))
    .get('/laboratory/beds/:bedId/samples', async (c) =>
      c.json(await samplesOf(instruments, c.req.param('bedId')), 200),
    )
    .post('/laboratory/beds/:bedId/samples', async (c) =>
      c.json(await sendSample(instruments, sampleOf(stores, c.req.param('bedId'), today())), 201),
    )
    .get('/weather', query(weatherSpan), async (c) =>
      c.json(await readWeather(instruments, c.req.valid('query')), 200),
    )
    .get('/laboratory/samples/:sampleId', async (c) =>
      c.json(await reportOn(instruments, c.req.param('sampleId'), today()), 200),
    );
