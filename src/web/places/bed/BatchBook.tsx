import type { DayNumber } from '../../../core/ground/index.ts';
import type { BedSample } from '../../../core/bed/index.ts';
import type { NamedLayer } from '../../drawing/section-frame.ts';
import { fullDate } from '../../../words/dates.ts';
import { massUnitsOf } from '../../../quantities/units.ts';
import { useMeasures } from '../../app/garden-context.ts';
import { formatCell } from '../../../words/figures.ts';

interface BatchBookProps {
  readonly layers: readonly NamedLayer[];
  readonly sample: BedSample;
  readonly day: DayNumber;
  readonly areaM2: number;
}

/** Every batch that still lies on or in the bed, from the day it was laid to the day on show. */
export function BatchBook({ layers, sample, day, areaM2 }: BatchBookProps) {
  const { system } = useMeasures();
  const { mass: carbonUnit, smallMass: nitrogenUnit } = massUnitsOf(system);
  const carbon = (g: number) => formatCell(carbonUnit.fromBase((g * areaM2) / 1000), 2);
  const nitrogen = (g: number) => formatCell(nitrogenUnit.fromBase(g * areaM2), system === 'metric' ? 1 : 2);
  if (layers.length === 0) return <p className="soft">No batch lies on this bed on {fullDate(day)}.</p>;
  const free = sample.availableContactG + sample.availableRootG;
  return (
    <div className="batch-scroll">
      <table className="ledger batches">
        <caption className="soft">
          From spreading to {fullDate(day)}. The soil also has {nitrogen(free)} {nitrogenUnit.symbol} of
          readily available nitrogen.
        </caption>
        <thead>
          <tr>
            <th scope="col">batch</th>
            <th scope="col" className="red-rule">
              ■ {carbonUnit.symbol} carbon spread
            </th>
            <th scope="col">left</th>
            <th scope="col">humus</th>
            <th scope="col">char</th>
            <th scope="col">air</th>
            <th scope="col" className="red-rule">
              ● {nitrogenUnit.symbol} nitrogen spread
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
              <td className="red-rule">{carbon(one.laidCarbonG)}</td>
              <td>{carbon(one.freshCarbonG + one.microbialCarbonG)}</td>
              <td>{carbon(one.humusCarbonG)}</td>
              <td>{carbon(one.charCarbonG)}</td>
              <td>{carbon(one.respiredCarbonG)}</td>
              <td className="red-rule">{nitrogen(one.laidNitrogenG)}</td>
              <td>{nitrogen(one.boundNitrogenG)}</td>
              <td>{nitrogen(one.humusNitrogenG)}</td>
              <td>{nitrogen(one.drawnNitrogenG)}</td>
              <td>{nitrogen(one.releasedNitrogenG)}</td>
              <td>{nitrogen(one.lockedNitrogenG)}</td>
              <td>{nitrogen(one.ammoniaNitrogenG)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
