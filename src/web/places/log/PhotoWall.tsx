import { Button } from 'antd';
import { useState } from 'react';
import { dayOf, fullDate } from '../../../words/dates.ts';
import { photoAddress } from '../../api/journal.ts';
import { useBooks } from '../../app/garden-context.ts';
import { photosOf } from '../../ui/log/LinePhotos.tsx';
import { observationsOf } from '../../ui/log/observations-of.ts';

interface Picture {
  readonly id: string;
  readonly date: string;
  readonly note: string;
}

/** Every photo of a bed by its day; two that are chosen stand beside each other, the earlier one first. */
export function PhotoWall({ bedId }: { readonly bedId: string }) {
  const books = useBooks();
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const pictures = observationsOf(books.journal, bedId)
    .flatMap((one): Picture[] => photosOf(one).map((id) => ({ id, date: one.date, note: one.note })))
    .toSorted((a, b) => a.date.localeCompare(b.date));
  if (pictures.length === 0) return null;
  const toggle = (id: string) =>
    setChosen((before) =>
      before.includes(id) ? before.filter((one) => one !== id) : [...before, id].slice(-2),
    );
  const compared = pictures.filter(({ id }) => chosen.includes(id));
  return (
    <section aria-label="Photos">
      <h2>Photos</h2>
      {pictures.length > 1 && <p className="soft">Tap two to see them beside each other.</p>}
      <ul className="photo-wall">
        {pictures.map(({ id, date }) => (
          <li key={id}>
            <button type="button" aria-pressed={chosen.includes(id)} onClick={() => toggle(id)}>
              <img src={photoAddress(id)} alt={`Photo of ${fullDate(dayOf(date))}`} loading="lazy" />
              <span>{fullDate(dayOf(date))}</span>
            </button>
          </li>
        ))}
      </ul>
      {compared.length > 0 && (
        <div className="photos-compared">
          {compared.map(({ id, date, note }) => (
            <figure key={id}>
              <img src={photoAddress(id)} alt={`Photo of ${fullDate(dayOf(date))}, large`} />
              <figcaption>
                {fullDate(dayOf(date))}
                {note !== '' && <span className="soft"> {note}</span>}
              </figcaption>
            </figure>
          ))}
          <Button size="small" onClick={() => setChosen([])}>
            Close
          </Button>
        </div>
      )}
    </section>
  );
}
