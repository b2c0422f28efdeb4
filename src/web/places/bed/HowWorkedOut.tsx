import { Drawer } from 'antd';
import { Link } from 'react-router';
import { ESTIMATE } from '../../../words/words.ts';
import type { WorkingStep } from '../../../words/workings-words.ts';
import { useBooks } from '../../app/garden-context.ts';
import { useOpening } from '../../app/use-opening.ts';

/** How an answer was worked out: small sums with this bed's figures, and why. */
export function HowWorkedOut({ steps, onClose }: { steps: readonly WorkingStep[]; onClose: () => void }) {
  const { garden } = useBooks();
  const { shut, ...opening } = useOpening(onClose);
  return (
    <Drawer {...opening} title="How that is worked out" size={520} onClose={shut}>
      {/* It scrolls: the keyboard must get hold of it. */}
      <div className="workings" tabIndex={0} role="group" aria-label="Steps">
        {steps.map(({ title, rows, result, why }) => (
          <section key={title}>
            <h3>{title}</h3>
            <table className="working-sum">
              <tbody>
                {rows.map(({ name, value }) => (
                  <tr key={name}>
                    <th scope="row">{name}</th>
                    <td className="figure">{value}</td>
                  </tr>
                ))}
                <tr className="working-result">
                  <th scope="row">{result.name}</th>
                  <td className="figure">{result.value}</td>
                </tr>
              </tbody>
            </table>
            <p className="soft">{why}</p>
          </section>
        ))}
      </div>
      <p className="soft">
        {ESTIMATE}{' '}
        <Link to={`/garden/${garden.id}/method`}>All formulas and sources are on the Method page.</Link>
      </p>
    </Drawer>
  );
}
