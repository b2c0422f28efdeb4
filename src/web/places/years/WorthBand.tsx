import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import { useState } from 'react';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { BedRecord } from '../../../records/bed.ts';
import type { GardenPrices } from '../../../records/garden.ts';
import type { Habit } from '../../../records/habit.ts';
import { materialFinder } from '../../../core/bed/index.ts';
import {
  NO_PRICES,
  type Worth,
  keepsToItsPlan,
  textureOf,
  worthOf,
  worthTogether,
} from '../../../core/long-run/index.ts';
import { plainFigure } from '../../../words/figures.ts';
import { PricesForm } from '../../ui/prices/PricesForm.tsx';
import { LineKey } from './HabitList.tsx';
import { SAMPLED_DEPTH_CM, type ViewedBed, type ViewedLine, type YearsView } from './view.ts';

interface WorthBandProps {
  readonly view: YearsView;
}

/** What each habit is worth against a bed on which nothing is laid; that one must be among the lines. */
export function WorthBand({ view }: WorthBandProps) {
  const books = useBooks();
  const [isPricing, setIsPricing] = useState(false);
  const prices = books.garden.prices ?? NO_PRICES;
  return (
    <section aria-label="What it is worth" className="band worth-band">
      <div className="years-chart-head">
        <h2>Is it worth the barrowing?</h2>
        <Button size="small" onClick={() => setIsPricing(!isPricing)}>
          {isPricing ? 'Close' : 'Your prices'}
        </Button>
      </div>
      {isPricing && <PricesForm onClose={() => setIsPricing(false)} />}
      {view.beds.map((bed) => (
        <BedWorth key={bed.id} bed={bed} prices={prices} />
      ))}
      <details>
        <summary>What counts here, and what does not</summary>
        <p className="soft">
          Each figure compares with the same bed on which you spread nothing from today on, over all the years
          shown. Nitrogen is what roots can take, beyond what that bed would give; phosphorus and potassium
          are those of what you spread, from tables. Water and nutrients held are averages of many soils
          (Minasny and McBratney 2018 for water, textbook exchange capacities; from memory), so they are
          ranges. Carbon in humus is only lent: it goes again when the habit stops. Of char, the part that the
          IPCC (2019, from memory) expects to be there in a hundred years is called lasting. None of this is a
          credit: smoke, methane, what the wood would have become elsewhere, and the way it came are left out.
        </p>
      </details>
    </section>
  );
}

interface BedWorthProps extends Omit<WorthBandProps, 'view'> {
  readonly bed: ViewedBed;
  readonly prices: GardenPrices;
}

function BedWorth({ bed, prices }: BedWorthProps) {
  const books = useBooks();
  const bare = bed.lines.find(({ line }) => isNothing(line.followed));
  if (!bare) {
    return (
      <p className="soft hint">
        Take “Nothing spread” into the comparison to see on {bed.name} what the others are worth against it.
      </p>
    );
  }
  const others = bed.lines.filter((line) => line !== bare && typeof line.line.followed !== 'string');
  if (others.length === 0) return <p className="soft hint">Compare a habit that lays something.</p>;
  const rows = others.map((line) => ({ line, worth: worthOfLine({ line, bare, bed, books, prices }) }));
  const about = [
    `${bed.name}, over ${rows[0]!.worth.years} years`,
    ...(bed.bed ? [textureWords(bed.bed)] : []),
  ];
  return (
    <div className="table-scroll">
      <table className="figures-table worth">
        <caption>{about.join(', ')}</caption>
        <thead>
          <tr>
            <th scope="col">Habit</th>
            <th scope="col">nitrogen given</th>
            <th scope="col">bought feed spared</th>
            <th scope="col">phosphorus</th>
            <th scope="col">potassium</th>
            <th scope="col">carbon in humus</th>
            <th scope="col">water held</th>
            <th scope="col">nutrients held</th>
            <th scope="col">carrying</th>
            {rows.some(({ worth }) => worth.money !== null) && <th scope="col">in your money</th>}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ line, worth }) => (
            <WorthRow key={line.line.id} line={line} worth={worth} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

const isNothing = (followed: ViewedLine['line']['followed']): boolean =>
  typeof followed !== 'string' && followed.acts.length === 0;

const TEXTURE_WORDS = { sand: 'sandy ground', loam: 'loam', clay: 'clay' } as const;
const textureWords = ({ clayPct }: BedRecord): string => TEXTURE_WORDS[textureOf(clayPct)];

const NOTHING: Habit = { acts: [], keepsCrops: true };

interface WorthOfLine {
  readonly line: ViewedLine;
  readonly bare: ViewedLine;
  readonly bed: ViewedBed;
  readonly books: GardenBooks;
  readonly prices: GardenPrices;
  /** It keeps to its plan, whatever the habit. */
  readonly isSpared?: boolean;
}

/** Of a whole garden, that of its beds together. */
function worthOfLine({ line, bare, bed, books, prices, isSpared = false }: WorthOfLine): Worth {
  if (bed.bed === null) {
    const at = (part: ViewedBed, { place }: ViewedLine) => part.lines.find((one) => one.place === place)!;
    return worthTogether(
      bed.parts.map((part) =>
        worthOfLine({
          line: at(part, line),
          bare: at(part, bare),
          bed: part,
          books,
          prices,
          isSpared: part.bed !== null && keepsToItsPlan(part.bed),
        }),
      ),
    );
  }
  return worthOf({
    habit: isSpared ? NOTHING : (line.line.followed as Habit),
    points: line.points,
    bare: bare.points,
    setting: {
      bed: bed.bed,
      findMaterial: materialFinder(books),
      prices,
      depthCm: SAMPLED_DEPTH_CM,
    },
  });
}

function WorthRow({ line, worth }: { line: ViewedLine; worth: Worth }) {
  const measures = useMeasures();
  const mass = (kg: number) => (kg < 0 ? `−${measures.mass(-kg)}` : measures.mass(kg));
  const from = ({ low, high }: Worth['waterL'], digits: number) =>
    `${plainFigure(low, digits)} to ${plainFigure(high, digits)}`;
  return (
    <tr>
      <th scope="row">
        <LineKey place={line.place} /> {line.line.name}
      </th>
      <td>{mass(worth.nitrogenGivenKg)}</td>
      <td>{mass(worth.feedAvoidedNitrogenKg - worth.nitrogenBoughtKg)}</td>
      <td>{mass(worth.phosphorusKg)}</td>
      <td>{mass(worth.potassiumKg)}</td>
      <td>{mass(worth.humusCarbonKg)}</td>
      <td>
        {measures.liquid(worth.waterL.low)} to {measures.liquid(worth.waterL.high)}
      </td>
      <td>{from(worth.nutrientsMol, 2)} mol</td>
      <td>
        {worth.trips} barrows, {plainFigure(worth.hours, 2)} h ({plainFigure(worth.trips / worth.years, 2)}{' '}
        barrows, {plainFigure(worth.hours / worth.years, 2)} h a year)
      </td>
      {worth.money !== null && (
        <td>
          {plainFigure(worth.money, 3)} ({plainFigure(worth.money / worth.years, 3)} a year)
        </td>
      )}
    </tr>
  );
}
