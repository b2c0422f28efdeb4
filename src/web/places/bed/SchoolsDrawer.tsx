import { useMeasures } from '../../app/garden-context.ts';
import { useQuery } from '@tanstack/react-query';
import { Drawer } from 'antd';
import type { FeedAvailability } from '../../../core/bed/index.ts';
import type { BedRecord } from '../../../records/bed.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { SCHOOLS } from '../../../records/vocabulary.ts';
import { lockUpAnswer, type BedNames } from '../../../words/advice-words.ts';
import { doseAnswer } from '../../../words/feeding-words.ts';
import { plantingAnswer } from '../../../words/planting-words.ts';
import { SAME_PHYSICS, schoolWords } from '../../../words/school-words.ts';
import { questionAbout, schoolsQuery } from '../../worker/questions.ts';
import { useOpening } from '../../app/use-opening.ts';
import { productsFor } from './products.ts';

interface SchoolsDrawerProps {
  readonly records: GardenBooks;
  readonly bed: BedRecord;
  readonly names: BedNames;
  readonly feedAvailability: FeedAvailability;
  readonly onClose: () => void;
}

/** What each school would advise for this bed, and why they differ. */
export function SchoolsDrawer({ records, bed, names, feedAvailability, onClose }: SchoolsDrawerProps) {
  const measures = useMeasures();
  const { data } = useQuery(schoolsQuery(questionAbout(records, bed.id, records.today)));
  const { shut, ...opening } = useOpening(onClose);
  const { school: own } = records.garden;
  const product = productsFor(bed, feedAvailability);
  return (
    <Drawer {...opening} title="Three schools on this bed" size={980} onClose={shut}>
      {!data ? (
        <p className="soft">Asking all three …</p>
      ) : !data.ok ? (
        <p className="trouble">{data.sentence}</p>
      ) : (
        <div className="schools" tabIndex={0} role="group" aria-label="Side by side">
          {SCHOOLS.map((school) => {
            const advice = data.result[school];
            const answers = [
              lockUpAnswer(advice, names, measures),
              doseAnswer(advice, { ...bed, names, measures, product }),
              plantingAnswer(advice, { measures, names }),
            ];
            return (
              <section key={school} aria-label={schoolWords(school, measures).name}>
                <h3>
                  {schoolWords(school, measures).name}
                  {school === own && <span className="soft"> (your garden)</span>}
                </h3>
                <p className="soft">{schoolWords(school, measures).belief}</p>
                {answers.map(({ headline, details, isStop }, i) => (
                  <div key={['Lock-up', 'Feed', 'Planting'][i]} className="school-answer">
                    <p className={isStop ? 'answer-headline status-stop' : 'answer-headline'}>{headline}</p>
                    <p className="soft">{details[0]}</p>
                  </div>
                ))}
                <p className="school-changes">{schoolWords(school, measures).changes}</p>
              </section>
            );
          })}
        </div>
      )}
      <p className="soft">{SAME_PHYSICS} The setting stands under “Change the garden”.</p>
    </Drawer>
  );
}
