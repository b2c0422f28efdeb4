import { Checkbox } from 'antd';
import { KEEPINGS } from '../../../records/vocabulary.ts';
import type { Treatment } from '../../../records/lot.ts';
import { Choice } from '../forms/inputs.tsx';
import { KEEPING_WORDS } from '../../../words/stock-words.ts';

interface TreatmentFieldsProps {
  readonly name: string;
  readonly treatment: Treatment;
  readonly onChange: (change: Partial<Treatment>) => void;
}

/** How a lot is kept, and whether it is turned and heats. */
export function TreatmentFields({ name, treatment, onChange }: TreatmentFieldsProps) {
  return (
    <>
      <Choice
        name={name}
        value={treatment.keeping}
        onChange={(keeping) => onChange({ keeping })}
        options={KEEPINGS.map((value) => ({ value, label: KEEPING_WORDS[value] }))}
        width={210}
      />
      <div className="field">
        <span className="field-name">And</span>
        <span className="tool-result">
          <Checkbox
            checked={treatment.isTurned}
            onChange={(event) => onChange({ isTurned: event.target.checked })}
          >
            turned now and then
          </Checkbox>
          <Checkbox checked={treatment.isHot} onChange={(event) => onChange({ isHot: event.target.checked })}>
            heats up by itself
          </Checkbox>
        </span>
      </div>
    </>
  );
}
