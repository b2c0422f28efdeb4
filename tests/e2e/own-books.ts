import type { APIRequestContext } from '@playwright/test';
import { bedOf, GARDEN, MILD, plantingOf } from '../fixtures/books.ts';

/** Books written through the interface of the server, to start a browser test from. */
export const TODAY = '2026-05-14';

const twelve = ({ temperatureC, rainMm, evapotranspirationMm }: typeof MILD) => ({
  temperatureC: [...temperatureC],
  rainMm: [...rainMm],
  evapotranspirationMm: [...evapotranspirationMm],
});

type Bed = Parameters<typeof bedOf>[0];
type Planting = Parameters<typeof plantingOf>[0];

export interface Laying {
  readonly materialId: string;
  readonly cm: number;
  readonly date?: string;
  readonly dugDepthCm?: number;
  readonly seasonedMonths?: number;
}

export async function makeGarden(
  request: APIRequestContext,
  id: string,
  change: Partial<typeof GARDEN> = {},
): Promise<void> {
  await request.post('/api/gardens', {
    data: { ...GARDEN, id, name: `Plot ${id}`, climate: twelve(MILD), ...change },
  });
}

/** A bed with what lies and grows on it; returns its address. */
export async function makeBed(
  request: APIRequestContext,
  gardenId: string,
  bed: Bed & { readonly id: string; readonly name: string },
  laid: readonly Laying[] = [],
  plantings: readonly Planting[] = [],
): Promise<string> {
  const { version, createdAt, updatedAt, gardenId: _, ...draft } = bedOf(bed);
  await request.post(`/api/gardens/${gardenId}/beds`, { data: draft });
  for (const [i, { materialId, cm, date = TODAY, dugDepthCm = 0, seasonedMonths = 0 }] of laid.entries()) {
    await request.post(`/api/beds/${bed.id}/entries`, {
      data: {
        id: `${bed.id}-${i}`,
        type: 'lay',
        state: 'laid',
        date,
        note: '',
        materialId,
        amount: cm,
        unit: 'cm',
        dugDepthCm,
        seasonedMonths,
      },
    });
  }
  for (const [i, planting] of plantings.entries()) {
    const {
      version: v,
      createdAt: c,
      updatedAt: u,
      bedId: b,
      ...data
    } = plantingOf({
      id: `${bed.id}-crop-${i}`,
      ...planting,
    });
    await request.post(`/api/beds/${bed.id}/plantings`, { data });
  }
  return `/garden/${gardenId}/bed/${bed.id}`;
}
