import { Select } from 'antd';
import { useState } from 'react';
import { nutrientClasses, ratedFigures, testedNitrogenGPerM2, testsUntil } from '../../../core/bed/index.ts';
import { SOIL_FIGURE_FIELDS } from '../../../records/vocabulary.ts';
import { plainFigure } from '../../../words/figures.ts';
import { RATING_WORDS, ratedWords, SOIL_FIGURE_WORDS } from '../../../words/soil-words.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { SoilCourse } from '../../charts/soil-course.tsx';
import { Field } from '../../ui/forms/Field.tsx';
import { capitalized } from '../../../words/capitalized.ts';

type Tests = ReturnType<typeof testsUntil>;

interface Figure {
  readonly key: string;
  readonly name: string;
  readonly format: (value: number) => string;
  readonly read: (one: Tests[number]) => number | null | undefined;
}

const plain = (value: number): string => plainFigure(value, 3);

/** The soil tests of a bed: what the last one means, and every figure through the years. */
export function SoilHistory({ bedId }: { readonly bedId: string }) {
  const books = useBooks();
  const measures = useMeasures();
  const [chosen, setChosen] = useState<string | null>(null);
  const bed = books.beds.find(({ id }) => id === bedId)!;
  const tests = testsUntil({ entries: books.entries.filter((entry) => entry.bedId === bedId) }, Infinity);
  if (tests.length === 0) return null;
  const figures: readonly Figure[] = [
    {
      key: 'mineralNitrogen',
      name: 'Mineral nitrogen',
      format: (gPerM2: number) => measures.rate(gPerM2),
      read: ({ test }: Tests[number]) => testedNitrogenGPerM2(test, bed),
    },
    { key: 'ph', name: 'pH', format: plain, read: ({ test }: Tests[number]) => test.ph },
    {
      key: 'organicMatterPct',
      name: 'Organic matter, %',
      format: plain,
      read: ({ test }: Tests[number]) => test.organicMatterPct,
    },
    ...SOIL_FIGURE_FIELDS.map((field) => ({
      key: field,
      name: capitalized(`${SOIL_FIGURE_WORDS[field].name}, ${SOIL_FIGURE_WORDS[field].unit}`),
      format: plain,
      read: ({ test }: Tests[number]) => test[field],
    })),
  ].filter(({ read }) => tests.some((one) => read(one) != null));
  const pointsOf = ({ read }: Figure): number => tests.filter((one) => read(one) != null).length;
  const [longest] = figures.toSorted((a, b) => pointsOf(b) - pointsOf(a));
  const figure = figures.find(({ key }) => key === chosen) ?? longest!;
  const points = tests.flatMap((one) => {
    const value = figure.read(one);
    return value == null ? [] : [{ day: one.day, value }];
  });
  const last = tests.at(-1)!;
  const { extraction } = last.test;
  const classes = nutrientClasses(figure.key, extraction).map(({ rating, from }) => ({
    from,
    words: `${RATING_WORDS[rating]} from ${plain(from)}`,
  }));
  return (
    <section aria-label="Soil tests">
      <h2>Soil tests</h2>
      <ul className="soil-ratings">
        {ratedFigures(last).map((rated) => (
          <li key={rated.nutrient}>{ratedWords(rated)}</li>
        ))}
      </ul>
      <Field name="Figure">
        {(control) => (
          <Select
            {...control}
            value={figure.key}
            onChange={setChosen}
            style={{ width: 240 }}
            options={figures.map(({ key, name }) => ({ value: key, label: name }))}
          />
        )}
      </Field>
      <SoilCourse name={figure.name} points={points} classes={classes} format={figure.format} />
      {ratedFigures(last).length > 0 && (
        <p className="soft">
          Classes after the way of extraction, from memory: local advice and the laboratory’s own come first.
        </p>
      )}
    </section>
  );
}
