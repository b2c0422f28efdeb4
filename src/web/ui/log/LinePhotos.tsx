import { Image } from 'antd';
import type { ObservationRecord } from '../../../records/journal.ts';
import { dayOf, fullDate } from '../../../words/dates.ts';
import { photoAddress } from '../../api/journal.ts';

/** The photos of an observation, in the order in which they were added. */
export const photosOf = ({ photoId, morePhotoIds }: ObservationRecord): string[] =>
  photoId === null ? [] : [photoId, ...(morePhotoIds ?? [])];

/** Small pictures in a row; one that is tapped opens large, and leads to the next. */
export function LinePhotos({ observation }: { readonly observation: ObservationRecord }) {
  const ids = photosOf(observation);
  if (ids.length === 0) return null;
  return (
    <span className="log-photos">
      <Image.PreviewGroup>
        {ids.map((id, i) => (
          <Image
            key={id}
            className="log-photo"
            src={photoAddress(id)}
            alt={`Photo ${ids.length > 1 ? `${i + 1} ` : ''}of ${fullDate(dayOf(observation.date))}`}
            width={80}
            height={60}
            loading="lazy"
          />
        ))}
      </Image.PreviewGroup>
    </span>
  );
}
