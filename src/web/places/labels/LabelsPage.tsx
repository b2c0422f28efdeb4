import { Button, Checkbox, QRCode, Segmented } from 'antd';
import { useState } from 'react';
import { sizeWords } from '../../../words/pot-words.ts';
import { LOT_FORM_WORDS, treatmentWords } from '../../../words/stock-words.ts';
import { BED_KIND_WORDS } from '../../../words/words.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';
import './labels.css';

/** What is printed on a label, and what its code opens. */
interface Label {
  readonly id: string;
  readonly name: string;
  readonly detail: string;
  readonly address: string;
}

const WIDTH_PX = 112;

/** Labels for beds and piles, each with a code that opens its page on a phone. */
export function LabelsPage() {
  const { garden, beds, lots } = useBooks();
  const measures = useMeasures();
  const [of, setOf] = useState<'beds' | 'piles'>('beds');
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const at = (path: string) => `${window.location.origin}/garden/${garden.id}/${path}`;
  const labels: Label[] =
    of === 'beds'
      ? beds.map((bed) => ({
          id: bed.id,
          name: bed.name,
          detail: `${BED_KIND_WORDS[bed.kind]}, ${sizeWords(bed, measures)}`,
          address: at(`log?bed=${bed.id}`),
        }))
      : lots.map((lot) => ({
          id: lot.id,
          name: lot.name,
          detail: `${LOT_FORM_WORDS[lot.form]}, ${treatmentWords(lot)}`,
          address: at(`stock/${lot.id}`),
        }));
  const printed = labels.filter(({ id }) => !left.has(id));
  const toggle = (id: string, isPrinted: boolean) =>
    setLeft((before) => new Set(isPrinted ? [...before].filter((one) => one !== id) : [...before, id]));
  return (
    <div className="page">
      <header className="page-head not-printed">
        <div>
          <PageHeading>Labels</PageHeading>
          <p className="soft">
            The code on the label of a bed opens its log, that of a pile its page: on any phone that reaches
            these books at {window.location.host}.
          </p>
        </div>
        <div className="actions">
          <Button type="primary" disabled={printed.length === 0} onClick={() => window.print()}>
            Print {printed.length === 1 ? 'the label' : `${printed.length} labels`}
          </Button>
        </div>
      </header>
      <div className="not-printed label-choice">
        <Segmented
          value={of}
          onChange={setOf}
          options={[
            { value: 'beds', label: 'Beds' },
            { value: 'piles', label: 'Piles and bags' },
          ]}
        />
      </div>
      {labels.length === 0 && (
        <p className="soft not-printed">
          {of === 'beds' ? 'There is no bed to label yet.' : 'Nothing lies in stock to be labeled.'}
        </p>
      )}
      <ul className="labels">
        {labels.map(({ id, name, detail, address }) => (
          <li key={id} className={left.has(id) ? 'label not-printed' : 'label'}>
            <span className="label-code">
              <QRCode
                aria-label={`Code that opens ${name}`}
                value={address}
                type="svg"
                size={WIDTH_PX}
                bordered={false}
                color="#000"
                bgColor="#fff"
              />
            </span>
            <div>
              <h2>{name}</h2>
              <p>{detail}</p>
              <p className="soft">{garden.name}</p>
              <Checkbox
                className="not-printed"
                checked={!left.has(id)}
                onChange={({ target }) => toggle(id, target.checked)}
              >
                print it
              </Checkbox>
            </div>
          </li>
        ))}
      </ul>
    </div>
  );
}
