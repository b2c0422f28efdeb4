import type { FingerQuestion } from '../../core/bed/index.ts';

const SOIL = '#8B6B4B';
const DARK = '#5B432D';

/** What to try with a spoonful of wet soil, drawn. */
export function FingerDrawing({ question }: { question: FingerQuestion }) {
  return (
    <svg viewBox="0 0 120 70" width={120} height={70} aria-hidden="true">
      <path d="M8 60q52 -14 104 0" fill="none" stroke="#C9A98A" strokeWidth={7} strokeLinecap="round" />
      <FingerShape question={question} />
    </svg>
  );
}

function FingerShape({ question }: { question: FingerQuestion }) {
  switch (question) {
    case 'holdsABall':
      return <circle cx={60} cy={34} r={19} fill={SOIL} stroke={DARK} />;
    case 'rollsToASausage':
      return <rect x={24} y={32} width={72} height={18} rx={9} fill={SOIL} stroke={DARK} />;
    case 'rollsPencilThin':
      return <rect x={12} y={40} width={96} height={7} rx={3.5} fill={SOIL} stroke={DARK} />;
    case 'bendsToARing':
      return <circle cx={60} cy={31} r={18} fill="none" stroke={SOIL} strokeWidth={7} />;
  }
}
