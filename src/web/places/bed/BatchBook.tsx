import type { DayNumber } from '../../../core/ground/index.ts';
import type { BedSample } from '../../../core/bed/index.ts';
import type { NamedLayer } from '../../drawing/section-frame.ts';
import { fullDate } from '../../../words/dates.ts';
import { formatCell } from '../../../words/figures.ts';

interface BatchBookProps {
  readonly layers: readonly NamedLayer[];
  readonly sample: BedSample;
  readonly day: DayNumber;
  readonly areaM2: number;
}

/** Every batch that still lies on or in the bed, from the day it was laid to the day on show. */
export function BatchBook({ layers, sample, day, areaM2 }: BatchBookProps) {
  const kg = (g: number) => formatCell((g * areaM2) / 1000, 2);
  const grams = (g: number) => formatCell(g * areaM2, 1);
  if (layers.length === 0) return <p className="soft">No batch lies on this bed on {fullDate(day)}.</p>;
  const free = sample.availableContactG + sample.availableRootG;
  return (
    <div className="batch-scroll">
      <table className="ledger batches">
        <caption className="soft">
          From laying to {fullDate(day)}. Besides, {grams(free)} g of nitrogen is free in the soil.
        </caption>
        <thead>
          <tr>
            <th scope="col">batch</th>
            <th scope="col" className="red-rule">
              ■ kg C laid
            </th>
            <th scope="col">left</th>
            <th scope="col">humus</th>
            <th scope="col">char</th>
            <th scope="col">air</th>
            <th scope="col" className="red-rule">
              ● g N laid
            </th>
            <th scope="col">bound</th>
            <th scope="col">humus</th>
            <th scope="col">drawn</th>
            <th scope="col">given back</th>
            <th scope="col">locked now</th>
            <th scope="col">ammonia</th>
          </tr>
        </thead>
        <tbody>
          {layers.map((one) => (
            <tr key={one.id}>
              <td>
                {one.name} <span className="soft">{one.age}</span>
              </td>
              <td className="red-rule">{kg(one.laidCarbonG)}</td>
              <td>{kg(one.freshCarbonG + one.microbialCarbonG)}</td>
              <td>{kg(one.humusCarbonG)}</td>
              <td>{kg(one.charCarbonG)}</td>
              <td>{kg(one.respiredCarbonG)}</td>
              <td className="red-rule">{grams(one.laidNitrogenG)}</td>
              <td>{grams(one.boundNitrogenG)}</td>
              <td>{grams(one.humusNitrogenG)}</td>
              <td>{grams(one.drawnNitrogenG)}</td>
              <td>{grams(one.releasedNitrogenG)}</td>
              <td>{grams(one.lockedNitrogenG)}</td>
              <td>{grams(one.ammoniaNitrogenG)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
