import { useEffect } from 'react';
import { dayOf } from '../../words/dates.ts';
import { dayNotice } from '../../words/week-digest.ts';
import { tell } from '../app/day-notices.ts';
import { useBooks, useMeasures } from '../app/garden-context.ts';
import { useAgenda } from '../ui/planning/use-agenda.ts';

/** Shows what is due as a notice of this device, as soon as it is worked out. */
export function DayNotice() {
  const books = useBooks();
  const measures = useMeasures();
  const { items, waiting } = useAgenda(books);
  const { today: date, garden } = books;
  useEffect(() => {
    if (waiting > 0) return;
    const notice = dayNotice(items, { today: dayOf(date), names: books, measures });
    // A notice that the browser refuses is no harm: the calendar says the same.
    if (notice) tell(notice, { gardenId: garden.id, date }).catch(() => undefined);
  }, [waiting, items, books, measures, date, garden.id]);
  return null;
}
