import { useNavigate } from 'react-router';
import '../garden/garden.css';
import { GardenForm } from '../garden/GardenForm.tsx';

/** The first page of an empty book. */
export function Welcome() {
  const navigate = useNavigate();
  return (
    <main className="page">
      <div className="empty">
        <h1>Vine Ledger</h1>
        <p>
          Keep the carbon and nitrogen books of every bed: what you lay on it, what the season makes of it,
          what is locked up and until when, how much nitrogen to add, and what humus stays.
        </p>
        <GardenForm changing={null} onKept={(gardenId) => void navigate(`/garden/${gardenId}`)} />
      </div>
    </main>
  );
}
