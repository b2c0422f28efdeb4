import { useMeasures } from '../../app/garden-context.ts';
import { useState } from 'react';
import type { BedRecord } from '../../../records/bed.ts';
import { charDose, charFactorForClay } from '../../../core/yard/index.ts';
import { QuantityField, useReader } from '../../ui/forms/QuantityField.tsx';
import { quantityTrouble } from '../../ui/forms/troubles.ts';
import { readQuantity, typedFrom, type QuantityAsked } from '../../ui/forms/typed-quantity.ts';

/** A small dose to begin with (set here). */
const USUAL_L_PER_M2 = 1;
const YEARLY: QuantityAsked = { quantity: 'volumePerArea', above: 0, max: 50 };

/** A tenth of the top 15 cm at once, or a little every season, for every bed. */
export function CharDoses({ beds }: { beds: readonly BedRecord[] }) {
  const measures = useMeasures();
  const reader = useReader();
  const [yearly, setYearly] = useState(() =>
    typedFrom(USUAL_L_PER_M2, 'volumePerArea', { ...reader, digits: 2 }),
  );
  const read = readQuantity(yearly, YEARLY, reader);
  const perM2 = read.ok ? read.value! : USUAL_L_PER_M2;
  if (beds.length === 0) return null;
  return (
    <section aria-label="How much a bed takes">
      <div className="section-head">
        <h2>How much a bed takes</h2>
        <QuantityField
          name="A small dose each year"
          quantity="volumePerArea"
          value={yearly}
          onChange={setYearly}
          width={100}
          trouble={quantityTrouble(read, 'amount')}
        />
      </div>
      <table className="ledger lot-rows">
        <thead>
          <tr>
            <th>bed</th>
            <th>ground</th>
            <th>a tenth at once</th>
            <th>with compost 1 : 4</th>
            <th>or yearly</th>
            <th>for</th>
          </tr>
        </thead>
        <tbody>
          {beds.map((bed) => {
            const dose = charDose(bed, perM2);
            return (
              <tr key={bed.id}>
                <td>{bed.name}</td>
                <td className="words">{groundWords(charFactorForClay(bed.clayPct))}</td>
                <td data-name="a tenth at once">
                  {measures.volume(dose.atOnceL)} ({measures.barrows(dose.atOnceL)})
                </td>
                <td data-name="with compost 1 : 4">
                  {measures.volume(dose.compostL)} of compost come with it
                </td>
                <td data-name="or yearly">{measures.volume(dose.yearlyL)}</td>
                <td data-name="for">{dose.years} years</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="soft estimate">
        About a tenth of the volume of the top {measures.rule('length', 15)}, or small doses every season
        (common practice). Raw char locks up nitrogen at first: according to the model for weeks; gardeners
        report weeks to several seasons, because dose, fineness and the soil’s nitrogen differ. Char rich in
        ash raises the pH further: test first. Some say that char makes compost last longer; the model does
        not count that.
      </p>
    </section>
  );
}

const groundWords = (factor: number): string =>
  factor > 1 ? 'sand: half as much again' : factor < 1 ? 'clay: less' : 'loam';
