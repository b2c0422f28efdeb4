import { Drawer } from 'antd';
import { ESTIMATE } from '../../../words/words.ts';
import type { WorkingLine } from '../../../words/workings-words.ts';
import { useOpening } from '../../app/use-opening.ts';

/** How an answer was worked out, with this bed's figures in the formulas and where each comes from. */
export function HowWorkedOut({ lines, onClose }: { lines: readonly WorkingLine[]; onClose: () => void }) {
  const { shut, ...opening } = useOpening(onClose);
  return (
    <Drawer {...opening} title="How that is worked out" size={520} onClose={shut}>
      {/* It scrolls: the keyboard must get hold of it. */}
      <ol className="workings" tabIndex={0} aria-label="Steps">
        {lines.map(({ says, formula, source }) => (
          <li key={says + formula}>
            <strong>{says}</strong>
            <p className="figure working-formula">{formula}</p>
            <p className="soft">Source: {source}.</p>
          </li>
        ))}
      </ol>
      <p className="soft">{ESTIMATE}</p>
    </Drawer>
  );
}
