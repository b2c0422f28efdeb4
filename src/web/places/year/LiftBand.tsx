import { useQuery } from '@tanstack/react-query';
import { Checkbox, Select } from 'antd';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { LiftAsked } from '../../../contract/requests.ts';
import { isCrumbs, materialFinder, recognizableShareOf } from '../../../core/bed/index.ts';
import type { BedRecord } from '../../../records/bed.ts';
import { entryFields, type EntryRecord } from '../../../records/entry.ts';
import { ageInWords, dayOf } from '../../../words/dates.ts';
import { formatPercent } from '../../../words/figures.ts';
import { layName } from '../../../words/record-names.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useLift } from '../../api/gardens.ts';
import { useTakeBack } from '../../api/stock.ts';
import { useBooks } from '../../app/garden-context.ts';
import { useUndo } from '../../app/use-undo.tsx';
import { askedOf } from '../../ui/forms/asked-of.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { Field } from '../../ui/forms/Field.tsx';
import { FormFoot } from '../../ui/forms/FormFoot.tsx';
import { TextField } from '../../ui/forms/inputs.tsx';
import { isPastDay, pastDayTrouble } from '../../ui/forms/past-day.ts';
import { QuantityField, useReader } from '../../ui/forms/QuantityField.tsx';
import { quantityTrouble } from '../../ui/forms/troubles.ts';
import {
  readQuantity,
  typedFrom,
  type QuantityAsked,
  type TypedQuantity,
} from '../../ui/forms/typed-quantity.ts';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { briefQuery, questionAbout } from '../../worker/questions.ts';
import type { YearPartProps } from './SheetBody.tsx';
import { useSameName } from '../../ui/forms/use-same-name.ts';

type LayRecord = Extract<EntryRecord, { type: 'lay' }>;

/** After two years the lowest chips are worth checking (common practice, no source). */
const CRUMBS_AFTER_DAYS = 730;

const STOCK = 'stock';

interface LiftFields {
  readonly id: string;
  readonly layerIds: readonly string[];
  readonly share: TypedQuantity;
  /** The stock, or the id of a bed. */
  readonly to: string;
  readonly lotName: string;
  readonly dugDepth: TypedQuantity;
  readonly date: string;
}

const SHARE: QuantityAsked = askedOf(entryFields.takeOff.shareTakenOff);
const DEPTH: QuantityAsked = askedOf(entryFields.lay.dugDepthCm);

/** Layers of a bed that still lie there, the oldest first. */
const layersOn = ({ entries }: GardenBooks, bedId: string): LayRecord[] => {
  const taken = new Set(
    entries.flatMap((entry) =>
      entry.type === 'takeOff' && entry.state === 'laid' && entry.shareTakenOff === 1 ? [entry.layerId] : [],
    ),
  );
  return entries
    .filter((entry): entry is LayRecord => entry.type === 'lay')
    .filter((entry) => entry.bedId === bedId && entry.state === 'laid' && !taken.has(entry.id))
    .toSorted((a, b) => a.date.localeCompare(b.date));
};

/** Moves layers, or a share of them, into the stock or onto another bed: what is lost here is gained there. */
export function LiftBand({ bed }: Omit<YearPartProps, 'sheet'>) {
  const books = useBooks();
  const reader = useReader();
  const today = dayOf(books.today);
  const layers = layersOn(books, bed.id);
  const isPath = bed.kind === 'path';
  const start = (): LiftFields => ({
    id: crypto.randomUUID(),
    layerIds: isPath
      ? layers.filter(({ date }) => today - dayOf(date) >= CRUMBS_AFTER_DAYS).map(({ id }) => id)
      : [],
    share: typedFrom(1, 'share', reader),
    to: STOCK,
    lotName: `${isPath ? 'Path crumbs' : `From ${bed.name}`} of ${books.today.slice(0, 4)}`,
    dugDepth: typedFrom(0, 'length', reader),
    date: books.today,
  });
  const { fields, set, wasTried, submitWith, forget } = useRecordForm(start);
  const { layerIds, to, lotName, date } = fields;
  const sameName = useSameName('lots', lotName);
  const lift = useLift(bed.id);
  const takeBack = useTakeBack(books.garden.id);
  const offerUndo = useUndo();
  if (layers.length === 0) return null;
  const share = readQuantity(fields.share, SHARE, reader);
  const depth = readQuantity(fields.dugDepth, DEPTH, reader);
  const isToStock = to === STOCK;
  const toName = books.beds.find(({ id }) => id === to)?.name ?? '';
  const send = () => {
    if (layerIds.length === 0 || !share.ok || !isPastDay(date, books.today)) return;
    if (isToStock ? lotName.trim() === '' : !depth.ok) return;
    const draft: LiftAsked = {
      id: fields.id,
      date,
      note: '',
      layerIds: [...layerIds],
      share: share.value!,
      to: isToStock
        ? { place: 'stock', lotName: lotName.trim() }
        : { place: 'bed', bedId: to, dugDepthCm: depth.ok ? depth.value! : 0 },
    };
    lift.mutate(draft, {
      onSuccess: ({ entries, lot, movements }) => {
        forget();
        set({ ...start(), layerIds: [] });
        offerUndo(isToStock ? `${lotName} lies in the stock now.` : `It lies on ${toName} now.`, () =>
          takeBack.mutateAsync({ movements, lots: lot ? [lot] : [], entries }),
        );
      },
    });
  };
  return (
    <section aria-label={isPath ? 'Lift the bottom' : 'Move a layer'} className="year-lift">
      <h2>{isPath ? 'Lift the bottom of the path' : 'Move a layer'}</h2>
      <p className="soft">
        {isPath &&
          'After two to three years the lowest chips are crumbs (common practice). Take perennial weeds out first; lay fresh card and chips after. '}
        Damp it down and wash your hands: like bagged compost it can carry Legionella; damp char too, its dust
        harms the lungs. The pile or the other bed gets exactly the carbon and nitrogen that leave here, four
        fifths of the humus that the layers have made among it. Char goes along as char.
      </p>
      <form onSubmit={submitWith(send)} aria-label="Lift">
        <LayerChoice {...{ bed, layers, layerIds }} onChange={(ids) => set({ layerIds: ids })} />
        <div className="band-fields">
          <QuantityField
            name="How much of it"
            quantity="share"
            value={fields.share}
            onChange={(next) => set({ share: next })}
            trouble={wasTried ? quantityTrouble(share, 'shareTakenOff') : undefined}
          />
          <Field name="Where to">
            {(control) => (
              <Select
                {...control}
                value={to}
                onChange={(next) => set({ to: next })}
                style={{ width: 190 }}
                options={[
                  { value: STOCK, label: 'a pile in the stock' },
                  ...books.beds
                    .filter(({ id }) => id !== bed.id)
                    .map(({ id, name }) => ({ value: id, label: name })),
                ]}
              />
            )}
          </Field>
          {isToStock ? (
            <TextField
              name="Call the pile"
              value={lotName}
              onChange={(next) => set({ lotName: next })}
              hint={sameName}
              isNumber={false}
              width={200}
              trouble={wasTried && lotName.trim() === '' ? 'a name' : undefined}
            />
          ) : (
            <QuantityField
              name="Hoed in"
              quantity="length"
              value={fields.dugDepth}
              onChange={(next) => set({ dugDepth: next })}
              hint="0 leaves it on top"
              trouble={wasTried ? quantityTrouble(depth, 'dugDepthCm') : undefined}
            />
          )}
          <DateField
            name="Lifted on"
            value={date}
            onChange={(next) => set({ date: next })}
            trouble={pastDayTrouble(date, books.today)}
          />
        </div>
        <FormFoot
          label={isToStock ? 'Lift into the stock' : `Move to ${toName}`}
          isSaving={lift.isPending}
          troubles={[
            ...(wasTried && layerIds.length === 0 ? ['Choose at least one layer.'] : []),
            ...Object.values(sentencesOf(lift.error)),
          ]}
        />
      </form>
    </section>
  );
}

interface LayerChoiceProps {
  readonly bed: BedRecord;
  readonly layers: readonly LayRecord[];
  readonly layerIds: readonly string[];
  readonly onChange: (layerIds: readonly string[]) => void;
}

/** The layers with their real state by the model, and what speaks against lifting them. */
function LayerChoice({ bed, layers, layerIds, onChange }: LayerChoiceProps) {
  const books = useBooks();
  const today = dayOf(books.today);
  const { data } = useQuery(briefQuery(questionAbout(books, bed.id, books.today), 0));
  const now = data?.ok ? data.result.now.layers : [];
  const stateOf = (layerId: string) => now.find((layer) => layer.id === layerId);
  const stateWords = (layerId: string): string => {
    const layer = stateOf(layerId);
    if (!layer) return '';
    return `, ${formatPercent(recognizableShareOf(layer))} still looks as it came${isCrumbs(layer) ? ': crumbs' : ''}`;
  };
  const isStillWood = layerIds.some((one) => {
    const layer = stateOf(one);
    const entry = layers.find(({ id }) => id === one);
    const kind = materialFinder(books)(entry?.materialId ?? '')?.kind;
    return kind === 'wood' && layer !== undefined && !isCrumbs(layer);
  });
  return (
    <>
      <Checkbox.Group
        className="lift-layers"
        value={[...layerIds]}
        onChange={(ids: string[]) => onChange(ids)}
      >
        {layers.map((entry) => (
          <Checkbox key={entry.id} value={entry.id}>
            {layName(entry, books)}, {ageInWords(today - dayOf(entry.date))} old
            <span className="soft">{stateWords(entry.id)}</span>
          </Checkbox>
        ))}
      </Checkbox.Group>
      {isStillWood && (
        <p className="cautions" role="status">
          ⚠ By the model some of it is still wood, not crumbs: leave it another year, or lift it as coarse
          mulch. Dug into a bed it would lock up nitrogen.
        </p>
      )}
    </>
  );
}
