import { z } from 'zod';
import { creation, filed, id, stamp, version } from './fields.ts';

/** The shapes in which a record goes around: asked for, changed, kept in the books, written into a file. */
export const shapesOf = <Fields extends z.ZodRawShape>(fields: Fields) => ({
  draft: z.strictObject({ ...creation, ...fields }),
  change: z.strictObject({ version, ...fields }),
  record: z.object({ ...stamp, gardenId: id, ...fields }),
  filed: z.strictObject({ ...filed, ...fields }),
});

/** The same for what belongs to a bed; a row of a table says to which. */
export const bedShapesOf = <Fields extends z.ZodRawShape>(fields: Fields) => ({
  draft: z.strictObject({ ...creation, ...fields }),
  row: z.strictObject({ ...creation, bedId: id, ...fields }),
  change: z.strictObject({ version, ...fields }),
  record: z.object({ ...stamp, bedId: id, ...fields }),
  filed: z.strictObject({ ...filed, bedId: id, ...fields }),
});

/** Nothing in it can be changed, however deep. */
export type Unchanging<T> = T extends (infer Item)[]
  ? readonly Unchanging<Item>[]
  : T extends object
    ? { readonly [Key in keyof T]: Unchanging<T[Key]> }
    : T;

/** What the model reads of a record: its id and its fields, but those that are there for people only. */
export type ReadBy<Fields extends z.ZodRawShape, Unread extends keyof Fields = never> = Unchanging<
  { id: string } & Omit<z.infer<z.ZodObject<Fields>>, Unread>
>;
