import { useMeasures, useBooks } from '../../app/garden-context.ts';
import type { ReactNode } from 'react';
import type { BedRecord } from '../../../records/bed.ts';
import type { YearSheet } from '../../../core/season/index.ts';
import { dateNear, dayOf } from '../../../words/dates.ts';
import { formatCell, formatFixed, formatPercent, plainFigure } from '../../../words/figures.ts';
import { entryWords } from '../../../words/entry-words.ts';
import { cropName, layerName } from '../../../words/record-names.ts';
import { seenSummary, testSentences } from '../../../words/year-words.ts';
import { ASH_WORDS, CARBON_WORDS, NITROGEN_WORDS } from '../../../words/words.ts';
import { massUnitsOf } from '../../../quantities/units.ts';
import { StatementTable } from '../../ui/ledger/StatementTable.tsx';
import { FoundList } from '../../ui/log/FoundList.tsx';

export interface YearPartProps {
  readonly sheet: YearSheet;
  readonly bed: BedRecord;
}

/** Everything of the year that is worked out. */
export function SheetBody(props: YearPartProps) {
  const { sheet, bed } = props;
  return (
    <>
      <YearFigures {...props} />
      <div className="year-columns">
        <PutInTable {...props} />
        <Found {...props} />
      </div>
      <section aria-label="What the books say" className="year-books">
        <h2>What the books say</h2>
        <div className="two-books">
          <div>
            <StatementTable
              title="Carbon"
              statement={sheet.carbon}
              words={CARBON_WORDS}
              areaM2={bed.areaM2}
            />
            <StatementTable
              title="Minerals (ash)"
              statement={sheet.ash}
              words={ASH_WORDS}
              areaM2={bed.areaM2}
            />
          </div>
          <StatementTable
            title="Nitrogen"
            statement={sheet.nitrogen}
            words={NITROGEN_WORDS}
            areaM2={bed.areaM2}
          />
        </div>
      </section>
    </>
  );
}

function Figure({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div className="year-figure">
      <dt>{name}</dt>
      <dd className="figure">{children}</dd>
    </div>
  );
}

function YearFigures({ sheet, bed }: YearPartProps) {
  const books = useBooks();
  const measures = useMeasures();
  const { openingOrganicMatterPct: before, closingOrganicMatterPct: after, crops } = sheet;
  return (
    <dl className="year-figures">
      <Figure name="organic matter">
        {formatFixed(before, 2)} to {formatFixed(after, 2)} %
      </Figure>
      <Figure name="cover at the end">{measures.thickness(sheet.closingMulchCm)}</Figure>
      {crops.map(({ id, shortG, demandG, paleDays }) => (
        <Figure key={id} name={cropName(id, books)}>
          {demandG > 0 ? `${formatPercent(1 - shortG / demandG)} of its need` : '—'}
          {paleDays > 0 && <span className="soft">, {paleDays} pale days</span>}
        </Figure>
      ))}
      {sheet.fedNitrogenG > 0 && (
        <Figure name="fed">{measures.nitrogen(sheet.fedNitrogenG * bed.areaM2)} N</Figure>
      )}
      {sheet.wateredMm > 0 && <Figure name="watered by hand">{measures.water(sheet.wateredMm)}</Figure>}
      {sheet.yieldKg > 0 && <Figure name="harvested">{measures.mass(sheet.yieldKg)}</Figure>}
      {sheet.hours > 0 && <Figure name="hours">{plainFigure(sheet.hours)} h</Figure>}
    </dl>
  );
}

function PutInTable({ sheet, bed }: YearPartProps) {
  const books = useBooks();
  const measures = useMeasures();
  const { mass, smallMass } = massUnitsOf(measures.system);
  const carbon = (kg: number) => formatCell(mass.fromBase(kg), 2);
  const nitrogen = (g: number) => formatCell(smallMass.fromBase(g), measures.system === 'metric' ? 0 : 1);
  const carbonKg = sheet.putIn.reduce((sum, { carbonG }) => sum + carbonG, 0) * (bed.areaM2 / 1000);
  const nitrogenG = sheet.putIn.reduce((sum, one) => sum + one.nitrogenG, 0) * bed.areaM2;
  return (
    <section aria-label="What went in">
      <h2>What went in</h2>
      {sheet.putIn.length === 0 ? (
        <p className="soft">Nothing was spread in this year.</p>
      ) : (
        <table className="ledger put-in">
          <thead>
            <tr>
              <th>on</th>
              <th className="words">what</th>
              <th>carbon, {mass.symbol}</th>
              <th>nitrogen, {smallMass.symbol}</th>
            </tr>
          </thead>
          <tbody>
            {sheet.putIn.map((one) => {
              const entry = books.entries.find(({ id }) => id === one.entryId);
              return (
                <tr key={one.entryId}>
                  <td>{dateNear(one.day, sheet.fromDay)}</td>
                  <td className="words">
                    {entry
                      ? entryWords({ entry, entries: books.entries, books, measures })
                      : layerName({
                          layerId: one.entryId,
                          entries: books.entries,
                          names: books,
                        })}
                  </td>
                  <td>{carbon((one.carbonG * bed.areaM2) / 1000)}</td>
                  <td>{nitrogen(one.nitrogenG * bed.areaM2)}</td>
                </tr>
              );
            })}
            <tr className="closing">
              <td />
              <td className="words">together</td>
              <td>{carbon(carbonKg)}</td>
              <td>{nitrogen(nitrogenG)}</td>
            </tr>
          </tbody>
        </table>
      )}
    </section>
  );
}

function Found({ sheet }: YearPartProps) {
  const books = useBooks();
  const measures = useMeasures();
  const judged = sheet.seen
    .flatMap(({ observation, expectation }) => (expectation ? [{ observation, expectation }] : []))
    .toReversed();
  return (
    <section aria-label="Expected and found">
      <h2>Expected and found</h2>
      {sheet.tests.map((test) => (
        <p key={test.entryId}>
          <strong>Soil test of {dateNear(test.day, dayOf(books.today))}.</strong>{' '}
          {testSentences(test, measures).join(' ')}
        </p>
      ))}
      {sheet.tests.length === 0 && <p className="soft">No soil test in this year.</p>}
      <p>
        {seenSummary(
          judged.map(({ expectation }) => expectation),
          'the log of this year',
        )}
      </p>
      <FoundList found={judged.slice(0, 8)} today={sheet.fromDay} />
    </section>
  );
}
