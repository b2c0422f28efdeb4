import { useMeasures } from '../../app/garden-context.ts';
import { memo } from 'react';
import { Button, Progress, Switch } from 'antd';
import type { Learnt } from '../../../core/bed/index.ts';
import type { BedNames } from '../../../words/advice-words.ts';
import { learntSentences } from '../../../words/learnt-words.ts';
import { rangeSentences } from '../../../words/range-words.ts';
import { ALL_DRAWS } from '../../worker/range-workers.ts';
import type { useLikelyRange } from '../../ui/planning/use-likely-range.ts';
import { ProofLink } from '../../ui/proof/ProofLink.tsx';

/** What the sentences of a bed are about. */
const PROVEN_BY = ['lock-up', 'supply', 'losses', 'carbon'] as const;

interface LikelyRangeNoteProps {
  readonly bedId: string;
  readonly state: ReturnType<typeof useLikelyRange>;
  readonly crop: string;
  readonly names: BedNames;
  /** The same with the day each layer was spread, which distinguishes it from others of its kind. */
  readonly datedNames: BedNames;
  /** Whether its log is heeded, and how to change that. */
  readonly learning: { readonly isOn: boolean; readonly toggle: () => void };
}

/** How sure all that is: the draws in sentences, how far they are, and a way to stop them. */
export const LikelyRangeNote = memo(function LikelyRangeNote({
  state,
  bedId,
  crop,
  names,
  datedNames,
  learning,
}: LikelyRangeNoteProps) {
  const measures = useMeasures();
  const { shown, isStopped, stop, goOn } = state;
  const draws = shown?.range.draws ?? 0;
  return (
    <section className="likely" aria-label="How sure is that?">
      <div className="section-head">
        <h2>How sure is that?</h2>
        {!shown?.isDone && !isStopped && (
          <>
            <Progress
              percent={Math.round((draws / ALL_DRAWS) * 100)}
              size="small"
              showInfo={false}
              aria-label="How far this is worked out"
              style={{ width: 90 }}
            />
            <Button size="small" type="link" onClick={stop}>
              Stop
            </Button>
          </>
        )}
        {isStopped && (
          <Button size="small" type="link" onClick={goOn}>
            {shown ? 'Go on' : 'Work it out'}
          </Button>
        )}
      </div>
      {shown ? (
        <>
          <ul>
            {rangeSentences({ range: shown.range, crop, names, measures }).map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
          </ul>
          <Learning learnt={shown.range.learnt} learning={learning} names={datedNames} />
          <p className="soft hint">
            The model tried this bed {draws} times, each time with another likely soil, material and weather
            {shown.range.drawsOfYears > 0 && ` (${shown.range.drawsOfYears} times for ten years)`}. The ranges
            hold 8 times out of 10. <ProofLink groups={PROVEN_BY} bedId={bedId} />
          </p>
        </>
      ) : (
        <p className="soft">
          {isStopped
            ? 'Not worked out on this device, since it was stopped here.'
            : 'Trying likely soils, materials and weather …'}
        </p>
      )}
    </section>
  );
});

interface LearningProps {
  readonly learnt: Learnt | null;
  readonly learning: LikelyRangeNoteProps['learning'];
  readonly names: BedNames;
}

/** What the log of the bed has taught the draws, and a switch to leave it out. */
function Learning({ learnt, learning, names }: LearningProps) {
  if (!learnt && learning.isOn) return null;
  return (
    <div className="learnt">
      <label className="learnt-switch">
        <Switch
          size="small"
          checked={learning.isOn}
          onChange={learning.toggle}
          aria-label="Learn from its log"
        />
        Learn from its log
      </label>
      {learnt && (
        <ul>
          {learntSentences(learnt, names).map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      )}
    </div>
  );
}
