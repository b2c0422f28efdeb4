import { OPINION_IDS } from '../../../core/model/index.ts';
import { OPINION_WORDS, WHY_OPINIONS_DIFFER } from '../../../words/years-words.ts';

/** Who the thin lines are by, and why they differ. */
export function Opinions() {
  return (
    <div className="opinions">
      <p>{WHY_OPINIONS_DIFFER}</p>
      <ul>
        {OPINION_IDS.map((id) => (
          <li key={id}>
            <strong>{OPINION_WORDS[id].name}</strong>: {OPINION_WORDS[id].what}.
          </li>
        ))}
      </ul>
    </div>
  );
}
