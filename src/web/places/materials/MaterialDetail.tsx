import { Button } from 'antd';
import { layingCautions } from '../../../core/bed/index.ts';
import { cautionInWords } from '../../../words/words.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { LabReports } from './LabReports.tsx';
import { MakeOwn } from './MakeOwn.tsx';
import { factsFor } from './material-facts.ts';
import type { MaterialRow } from './material-rows.ts';
import { OwnMaterial } from './OwnMaterial.tsx';

interface DetailProps {
  readonly row: MaterialRow;
  readonly onClose: () => void;
  readonly onMade: (id: string) => void;
}

/** All that is known of one material, where its row was opened. */
export function MaterialDetail({ row, onClose, onMade }: DetailProps) {
  const books = useBooks();
  const measures = useMeasures();
  const cautions = layingCautions(
    { material: row.material, date: books.today, dugDepthCm: 1, thicknessCm: 0 },
    { kind: 'annual', clayPct: 0 },
  );
  const own = books.materials.find(({ id }) => id === row.id);
  return (
    <section className="band" aria-label={row.name}>
      <div className="section-head material-head">
        <h2>{row.name}</h2>
        <Button onClick={onClose}>Close</Button>
      </div>
      <dl className="figures-row">
        {factsFor(measures).map(([name, of]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{of(row)}</dd>
          </div>
        ))}
      </dl>
      {row.library && <p className="soft">Source: {row.library.source}.</p>}
      {own && own.note !== '' && <p>{own.note}</p>}
      {cautions.length > 0 && (
        <ul className="caution-list">
          {cautions.map((caution) => (
            <li key={caution.code}>{cautionInWords(caution, measures)}</li>
          ))}
        </ul>
      )}
      {own && <OwnMaterial key={`${own.id} ${own.version}`} material={own} onGone={onClose} />}
      {row.library && <MakeOwn gardenId={books.garden.id} like={row.library} onMade={onMade} />}
      <LabReports materialId={row.id} />
    </section>
  );
}
