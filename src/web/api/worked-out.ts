import { type WorkedOutGarden, WORKED_OUT_VERSION } from '../../contract/worked-out.ts';
import { MODEL_VERSION } from '../../core/model/index.ts';
import type { AheadSource } from '../worker/kept-answers.ts';
import { booksInHandAt, openGarden } from './books-in-hand.ts';
import { bodyOf, client, type HttpAnswer } from './client.ts';

/** What the server worked out of the garden opened last; undefined when there is nothing about the books in hand. */
export const workedOutAhead: AheadSource = async () => {
  const gardenId = openGarden();
  if (gardenId === null) return undefined;
  const asked = client.api.gardens[':gardenId']['worked-out'].$get({ param: { gardenId } });
  const garden = await bodyOf(asked as Promise<HttpAnswer<WorkedOutGarden | null>>);
  if (garden?.version !== WORKED_OUT_VERSION || garden.model !== MODEL_VERSION) return undefined;
  const books = booksInHandAt(gardenId, garden.mark);
  return books?.today === garden.today ? { books, beds: garden.beds } : undefined;
};
