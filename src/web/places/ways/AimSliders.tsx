import { Slider } from 'antd';
import { useState } from 'react';
import { WAY_AIMS, type AimWeights } from '../../../core/long-run/index.ts';
import { AIM_WORDS } from '../../../words/way-words.ts';

const MOST = 3;
const SAID = ['not at all', 'a little', 'much', 'most of all'];

/** How much each aim matters. */
export function AimSliders({
  weights,
  onChange,
}: {
  readonly weights: AimWeights;
  readonly onChange: (weights: AimWeights) => void;
}) {
  const [isWide] = useState(() => window.matchMedia('(min-width: 700px)').matches);
  return (
    <details className="way-aims" open={isWide}>
      <summary>What matters to you</summary>
      <div className="way-aims-grid">
        {WAY_AIMS.map((aim) => (
          <div key={aim} className="way-aim">
            <span>{AIM_WORDS[aim]}</span>
            <Slider
              min={0}
              max={MOST}
              step={1}
              value={weights[aim]}
              onChange={(weight) => onChange({ ...weights, [aim]: weight })}
              ariaLabelForHandle={AIM_WORDS[aim]}
              ariaValueTextFormatterForHandle={(weight) => SAID[weight] ?? ''}
              tooltip={{ formatter: (weight) => SAID[weight ?? 0] }}
            />
            <span className="soft">{SAID[weights[aim]]}</span>
          </div>
        ))}
      </div>
    </details>
  );
}
