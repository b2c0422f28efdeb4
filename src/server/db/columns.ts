import type { z } from 'zod';
import { columnName, describe } from '../../records/describe.ts';
import type { Columns } from './versioned-table.ts';

/** The columns in which a table keeps the fields of its records. */
export const columnsOf = (fields: z.core.$ZodShape): Columns =>
  Object.fromEntries(
    describe(fields).map((one) => {
      const column = columnName(one);
      const isConverted = one.kind === 'boolean' || one.kind === 'json';
      return [one.field, isConverted ? [column, one.kind] : [column]];
    }),
  );

export const OF_A_GARDEN: Columns = { gardenId: ['garden_id'] };
export const OF_A_BED: Columns = { bedId: ['bed_id'] };
