import { visitorWords } from '../../words/people-words.ts';
import { useVisitor } from '../app/visitor.ts';
import { Leave } from '../ui/data/Leave.tsx';

/** Says on every page who is in, unless it is the keeper of the books. */
export function VisitorBand() {
  const visitor = useVisitor();
  const words = visitor && visitorWords(visitor);
  if (!words) return null;
  return (
    <p className="visitor-band" role="status">
      {words} <Leave />
    </p>
  );
}
