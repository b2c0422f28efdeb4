import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { gardensQuery } from '../api/gardens.ts';

/** Which garden is open, and the way to the others; nothing while there is but one. */
export function GardenSwitch({ gardenId }: { gardenId: string }) {
  const { data } = useQuery(gardensQuery());
  const open = data?.gardens.find(({ id }) => id === gardenId);
  if (!data || !open || data.gardens.length < 2) return null;
  return (
    // Another garden, and the list is shut again.
    <details key={gardenId} className="garden-switch">
      <summary aria-label={`Garden: ${open.name}. Open another`}>{open.name}</summary>
      <ul>
        {data.gardens
          .filter(({ id }) => id !== gardenId)
          .map(({ id, name }) => (
            <li key={id}>
              <Link to={`/garden/${id}`}>{name}</Link>
            </li>
          ))}
        <li>
          <Link to="/welcome">Begin another</Link>
        </li>
      </ul>
    </details>
  );
}
