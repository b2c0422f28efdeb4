import { Link } from 'react-router';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import './guide.css';

interface Step {
  readonly isDone: boolean;
  readonly title: string;
  readonly help: string;
  readonly href: string | null;
}

function stepsOf({ garden, beds, entries }: GardenBooks): Step[] {
  const [bed] = beds;
  const hrefOf = bed ? `/garden/${garden.id}/bed/${bed.id}` : null;
  const isLaid = entries.some(({ type }) => type === 'lay');
  return [
    { isDone: true, title: 'A garden', help: 'Its climate decides how fast things rot.', href: null },
    {
      isDone: beds.length > 0,
      title: 'A bed',
      help: 'How large it is and what its soil is like. A guess will do: everything can be changed later.',
      href: null,
    },
    {
      isDone: isLaid,
      title: 'What lies on it, or is to',
      help: 'A material and how much: in centimeters, barrows, buckets or kilograms.',
      href: hrefOf,
    },
    {
      isDone: isLaid,
      title: 'The answer',
      help: 'Whether it locks nitrogen up, where, until when, and what to feed.',
      href: null,
    },
  ];
}

/** The way of a newcomer from nothing to the first answer; gone once that is there. */
export function FirstSteps({ books }: { books: GardenBooks }) {
  const steps = stepsOf(books);
  const next = steps.findIndex(({ isDone }) => !isDone);
  if (next === -1 || books.beds.length > 1) return null;
  return (
    <ol className="first-steps" aria-label="First steps">
      {steps.map(({ isDone, title, help, href }, i) => (
        <li
          key={title}
          className={isDone ? 'is-done' : undefined}
          aria-current={i === next ? 'step' : undefined}
        >
          <span className="step-mark" aria-hidden="true">
            {isDone ? '✓' : i + 1}
          </span>
          <span>
            <strong>{href !== null ? <Link to={href}>{title}</Link> : title}</strong>
            <span className="visually-hidden">{isDone ? ' (done)' : ''}</span>
            <span className="soft">{help}</span>
          </span>
        </li>
      ))}
    </ol>
  );
}
