import { useQuery } from '@tanstack/react-query';
import { Button, Segmented, Select } from 'antd';
import { useMemo } from 'react';
import { observedFields } from '../../../records/journal.ts';
import type { AgendaItem, TaskWhat } from '../../../core/season/index.ts';
import { materialName } from '../../../words/record-names.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { askedOf } from '../../ui/forms/asked-of.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { Field } from '../../ui/forms/Field.tsx';
import { FormFoot } from '../../ui/forms/FormFoot.tsx';
import { TextField } from '../../ui/forms/inputs.tsx';
import { QuantityField, useReader } from '../../ui/forms/QuantityField.tsx';
import { quantityTrouble } from '../../ui/forms/troubles.ts';
import { NOTHING_TYPED, readQuantity, typedFrom, type QuantityAsked } from '../../ui/forms/typed-quantity.ts';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { isPastDay, pastDayTrouble } from '../../ui/forms/past-day.ts';
import { TilePanel } from '../../ui/log/TilePanel.tsx';
import { useLogBook } from '../../ui/log/use-log-book.ts';
import '../../ui/log/log.css';
import type { LogTile } from '../../drawing/log-icons.tsx';
import { questionAbout, sourcesQuery } from '../../worker/questions.ts';
import type { Really } from './done-acts.ts';

interface DoneFormProps {
  readonly item: AgendaItem;
  readonly isSaving: boolean;
  readonly onDone: (really: Really) => void;
  readonly onClose: () => void;
}

type Dose = Extract<TaskWhat, { code: 'dose' }>;
const FROM_OUTSIDE = 'outside';
/** What was given is not the planned product. */
const BY_NITROGEN = 'nitrogen';
const PRODUCT: QuantityAsked = { quantity: 'mass', above: 0, max: 10_000 };
const NITROGEN: QuantityAsked = { quantity: 'smallMass', above: 0 };

/** What was really fed: the planned product and its amount, from where, when; or another, by its nitrogen. */
export function FedForm({ item, isSaving, onDone, onClose }: DoneFormProps) {
  const what = item.what as Dose;
  const books = useBooks();
  const reader = useReader();
  const sources = useSources(item.bedId!, what.materialId);
  const { fields, set, wasTried, submitWith } = useRecordForm(() => ({
    product: what.massFreshKg === null ? BY_NITROGEN : what.materialId,
    mass: typedFrom(what.massFreshKg, 'mass', { ...reader, digits: 2 }),
    nitrogen: typedFrom(what.nitrogenG, 'smallMass', { ...reader, digits: 2 }),
    source: what.lotId ?? FROM_OUTSIDE,
    date: books.today,
  }));
  const { product, source, date } = fields;
  const isProduct = product !== BY_NITROGEN;
  const mass = readQuantity(fields.mass, PRODUCT, reader);
  const nitrogen = readQuantity(fields.nitrogen, NITROGEN, reader);
  const figure = isProduct ? mass : nitrogen;
  const isPast = isPastDay(date, books.today);
  const save = () => {
    if (!figure.ok || figure.value === null || !isPast) return;
    onDone({
      as: 'fed',
      date,
      massFreshKg: isProduct ? figure.value : null,
      nitrogenG: isProduct ? what.nitrogenG : figure.value,
      lotId: isProduct && source !== FROM_OUTSIDE ? source : null,
    });
  };
  return (
    <form className="task-form" aria-label="What was really fed" onSubmit={submitWith(save)}>
      <div className="band-fields">
        <Field name="Fed with">
          {(control) => (
            <Select
              {...control}
              value={product}
              onChange={(next: string) => set({ product: next })}
              style={{ width: 210 }}
              options={[
                ...(what.massFreshKg === null
                  ? []
                  : [{ value: what.materialId, label: materialName(what.materialId, books.materials) }]),
                { value: BY_NITROGEN, label: 'something else, by its nitrogen' },
              ]}
            />
          )}
        </Field>
        {isProduct ? (
          <>
            <QuantityField
              name="Amount"
              quantity="mass"
              value={fields.mass}
              onChange={(next) => set({ mass: next })}
              trouble={wasTried ? quantityTrouble(mass, 'amount') : undefined}
            />
            <Field name="From">
              {(control) => (
                <Select
                  {...control}
                  value={source}
                  onChange={(next: string) => set({ source: next })}
                  style={{ width: 190 }}
                  popupMatchSelectWidth={false}
                  options={[{ value: FROM_OUTSIDE, label: 'not from the stock' }, ...sources]}
                />
              )}
            </Field>
          </>
        ) : (
          <QuantityField
            name="Nitrogen"
            quantity="smallMass"
            value={fields.nitrogen}
            onChange={(next) => set({ nitrogen: next })}
            trouble={wasTried ? quantityTrouble(nitrogen, 'nitrogen') : undefined}
          />
        )}
        <DateField
          name="on"
          value={date}
          onChange={(next) => set({ date: next })}
          trouble={pastDayTrouble(date, books.today)}
        />
      </div>
      <FormFoot label="Save as fed" isSaving={isSaving} onClose={onClose} troubles={[]} />
    </form>
  );
}

/** Lots in which the product lies unmixed today, with how much of it. */
function useSources(bedId: string, materialId: string) {
  const books = useBooks();
  const measures = useMeasures();
  const question = useMemo(() => questionAbout(books, bedId, books.today), [books, bedId]);
  const { data } = useQuery(sourcesQuery(question));
  const lots = data?.ok ? data.result.filter((one) => one.materialId === materialId) : [];
  return lots.flatMap(({ lotId, massFreshKg }) => {
    const lot = books.lots.find(({ id }) => id === lotId);
    return lot ? [{ value: lotId, label: `${lot.name}, ${measures.mass(massFreshKg)} there` }] : [];
  });
}

const HARVEST: QuantityAsked = { ...askedOf(observedFields.yield.massKg, 'mass'), isOptional: true };
/** More than this on a square meter was hardly harvested at once, kg (set here). */
const MUCH_KG_PER_M2 = 25;

/** What was harvested, and whether the crop was cleared or only picked over. */
export function HarvestForm({ item, isSaving, onDone, onClose }: DoneFormProps) {
  const books = useBooks();
  const measures = useMeasures();
  const reader = useReader();
  const areaM2 = books.beds.find(({ id }) => id === item.bedId)?.areaM2 ?? 1;
  const { fields, set, wasTried, submitWith } = useRecordForm(() => ({
    mass: NOTHING_TYPED,
    isCleared: true,
    note: '',
    date: books.today,
    sureOf: '',
  }));
  const { date, isCleared, note } = fields;
  const mass = readQuantity(fields.mass, HARVEST, reader);
  const massKg = mass.ok ? mass.value : null;
  const isMuch = massKg !== null && massKg > MUCH_KG_PER_M2 * areaM2;
  const isAsked = isMuch && fields.sureOf !== fields.mass.text;
  const isPast = isPastDay(date, books.today);
  const isEmpty = massKg === null && !isCleared;
  const trouble = isEmpty ? 'how much was picked' : quantityTrouble(mass, 'harvest');
  const save = () => {
    if (!mass.ok || !isPast || isEmpty) return;
    if (isAsked) set({ sureOf: fields.mass.text });
    else onDone({ as: 'harvested', date, massKg, isCleared, note: note.trim() });
  };
  return (
    <form className="task-form" aria-label="What was harvested" onSubmit={submitWith(save)}>
      <div className="band-fields">
        <QuantityField
          name="Harvested"
          quantity="mass"
          value={fields.mass}
          onChange={(next) => set({ mass: next })}
          trouble={wasTried ? trouble : undefined}
          hint="empty if nobody weighed it"
          autoFocus
        />
        <div className="field">
          <span className="field-name">The crop</span>
          <Segmented
            value={isCleared ? 'cleared' : 'stays'}
            onChange={(next) => set({ isCleared: next === 'cleared' })}
            options={[
              { value: 'cleared', label: 'is cleared' },
              { value: 'stays', label: 'was picked over, it stays' },
            ]}
          />
        </div>
        <TextField
          name="How it was"
          value={note}
          onChange={(next) => set({ note: next })}
          width={200}
          isNumber={false}
        />
        <DateField
          name="on"
          value={date}
          onChange={(next) => set({ date: next })}
          trouble={pastDayTrouble(date, books.today)}
        />
      </div>
      {isMuch && (
        <p className="field-trouble" role="alert">
          That is {measures.mass(massKg / areaM2)} from each square meter. Is the unit right? Save again if it
          is.
        </p>
      )}
      <FormFoot label="Save the harvest" isSaving={isSaving} onClose={onClose} troubles={[]} />
    </form>
  );
}

type CheckWhat = Extract<TaskWhat, { code: 'check' }>;
/** What a check asks to be written down. */
const TILE_OF: Readonly<Record<CheckWhat['check'], LogTile>> = {
  sweetManure: 'smell',
  manureWorms: 'worms',
  manureCrumbs: 'thickness',
  threads: 'threads',
  leaves: 'leafColor',
  thickness: 'thickness',
};

/** What was seen at a check: it goes into the log, and the check is done by it. */
export function SeenForm({ item, onClose }: Pick<DoneFormProps, 'item' | 'onClose'>) {
  const books = useBooks();
  const book = useLogBook(books);
  const { check, aboutId } = item.what as CheckWhat;
  const isOfCrop = check === 'leaves';
  return (
    <div className="task-form">
      <TilePanel
        tile={TILE_OF[check]}
        subject={{ bedId: item.bedId!, plantingId: isOfCrop ? aboutId : null, date: books.today }}
        layerId={isOfCrop ? null : aboutId}
        book={book}
        onDone={onClose}
      />
      <Button size="small" type="text" onClick={onClose}>
        Cancel
      </Button>
    </div>
  );
}
