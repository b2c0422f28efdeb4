import { useState } from 'react';
import { leastLeftByHydrogen } from '../../../core/yard/index.ts';
import { TextField } from '../../ui/forms/inputs.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { formatPercent } from '../../../words/figures.ts';

/** Bought char often comes with a laboratory's figure; it says how long it lasts better than the way it was fired. */
export function HydrogenTool() {
  const [typed, setTyped] = useState('');
  const ratio = numberFromText(typed);
  const isRatio = ratio >= 0 && ratio <= 2;
  const least = isRatio ? leastLeftByHydrogen(ratio) : null;
  return (
    <section aria-label="Char from a bag">
      <div className="section-head">
        <h2>Char from a bag</h2>
      </div>
      <p className="soft">
        Receive it in the stock as biochar, raw or charged; then it is crushed, charged and laid like your
        own.
      </p>
      <div className="band-fields">
        <TextField
          name="H:C on its certificate"
          value={typed}
          onChange={setTyped}
          width={110}
          trouble={typed.trim() !== '' && !isRatio ? 'A number from 0 to 2, such as 0.35.' : undefined}
        />
        <div className="field">
          <span className="field-name">left after 100 years</span>
          <span className="tool-result" role="status">
            {isRatio && typed.trim() !== ''
              ? least === null
                ? 'no figure: above 0.7 it is hardly charred'
                : `at least ${formatPercent(least)} of its carbon (Budai et al. 2013)`
              : '—'}
          </span>
        </div>
      </div>
    </section>
  );
}
