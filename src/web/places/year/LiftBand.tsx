import { useBooks } from '../../app/garden-context.ts';
import { Button, Checkbox } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { LiftDraft } from '../../../contract/requests.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useLift } from '../../api/gardens.ts';
import { useTakeBack } from '../../api/stock.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { TextField } from '../../ui/forms/inputs.tsx';
import { ageInWords, dayOf } from '../../../words/dates.ts';
import { formatPercent } from '../../../words/figures.ts';
import { isCrumbs, recognizableShareOf } from '../../../core/bed/index.ts';
import { briefQuery, questionAbout } from '../../worker/questions.ts';
import { layName } from '../../../words/record-names.ts';
import { useUndo } from '../../app/use-undo.tsx';
import type { YearPartProps } from './SheetBody.tsx';

/** After two years the lowest chips are worth checking (common practice, no source). */
const CRUMBS_AFTER_DAYS = 730;

/** Moves the rotted bottom layer of a path into the stock: what the path loses, the pile gains. */
export function LiftBand({ bed }: Omit<YearPartProps, 'sheet'>) {
  const books = useBooks();
  const taken = new Set(
    books.entries.flatMap((entry) =>
      entry.type === 'takeOff' && entry.shareTakenOff === 1 ? [entry.layerId] : [],
    ),
  );
  const layers = books.entries
    .filter(
      (entry) =>
        entry.bedId === bed.id && entry.type === 'lay' && entry.state === 'laid' && !taken.has(entry.id),
    )
    .toSorted((a, b) => a.date.localeCompare(b.date));
  const today = dayOf(books.today);
  const [chosen, setChosen] = useState<readonly string[]>(() =>
    layers.filter(({ date }) => today - dayOf(date) >= CRUMBS_AFTER_DAYS).map(({ id }) => id),
  );
  const [name, setName] = useState(`Path crumbs of ${books.today.slice(0, 4)}`);
  const [date, setDate] = useState(books.today);
  const [id, setId] = useState(() => crypto.randomUUID());
  const lift = useLift(bed.id);
  const takeBack = useTakeBack(books.garden.id);
  const offerUndo = useUndo();
  const { data } = useQuery(briefQuery(questionAbout(books, bed.id, books.today), 0));
  const now = data?.ok ? data.result.now.layers : [];
  const stateOf = (layerId: string) => now.find((layer) => layer.id === layerId);
  const stateWords = (layerId: string): string => {
    const layer = stateOf(layerId);
    if (!layer) return '';
    return `, ${formatPercent(recognizableShareOf(layer))} still looks as it came${isCrumbs(layer) ? ': crumbs' : ''}`;
  };
  const isStillWood = chosen.some((one) => {
    const layer = stateOf(one);
    return layer !== undefined && !isCrumbs(layer);
  });
  if (layers.length === 0) return null;
  const draft: LiftDraft = { id, date, note: '', layerIds: [...chosen], lotName: name };
  const send = () =>
    lift.mutate(draft, {
      onSuccess: ({ entries, lot, movement }) => {
        setId(crypto.randomUUID());
        setChosen([]);
        offerUndo(`${name} lies in the stock now.`, () =>
          takeBack.mutateAsync({ movements: [movement], lots: [lot], entries }),
        );
      },
    });
  return (
    <section aria-label="Lift the bottom" className="year-lift">
      <h2>Lift the bottom of the path</h2>
      <p className="soft">
        After two to three years the lowest chips are crumbs (common practice). Take perennial weeds out
        first; lay fresh card and chips after. Damp the crumbs down and wash your hands: like bagged compost
        they can carry Legionella. The pile gets exactly the carbon and nitrogen that these layers hold, four
        fifths of the humus they have made with them.
      </p>
      <Checkbox.Group
        className="lift-layers"
        value={[...chosen]}
        onChange={(ids: string[]) => setChosen(ids)}
      >
        {layers.map((entry) =>
          entry.type === 'lay' ? (
            <Checkbox key={entry.id} value={entry.id}>
              {layName(entry, books)}, {ageInWords(today - dayOf(entry.date))} old
              <span className="soft">{stateWords(entry.id)}</span>
            </Checkbox>
          ) : null,
        )}
      </Checkbox.Group>
      {isStillWood && (
        <p className="cautions" role="status">
          ⚠ By the model some of it is still wood, not crumbs: leave it another year, or lift it as coarse
          mulch. In a bed it would lock up nitrogen.
        </p>
      )}
      <div className="band-fields">
        <TextField name="Call the pile" value={name} onChange={setName} isNumber={false} width={200} />
        <DateField name="Lifted on" value={date} onChange={setDate} />
        <div className="field">
          <span className="field-name">&nbsp;</span>
          <Button
            disabled={chosen.length === 0 || name.trim() === ''}
            loading={lift.isPending}
            onClick={send}
          >
            Lift into the stock
          </Button>
        </div>
      </div>
      {Object.values(sentencesOf(lift.error)).map((sentence) => (
        <p key={sentence} className="field-trouble" role="alert">
          {sentence}
        </p>
      ))}
    </section>
  );
}
