import { Button, Input, Radio, Select } from 'antd';
import { useMemo, useState } from 'react';
import { STATIONS, type Station } from '../../../core/ground/index.ts';
import { koppenWords } from '../../../words/climate-words.ts';
import { BY_NAME } from '../forms/by-name.ts';
import { Field } from '../forms/Field.tsx';
import { TextField } from '../forms/inputs.tsx';
import { typedFrom, type Reader } from '../forms/typed-quantity.ts';
import { CLIMATE_ROWS, type TypedClimate } from './climate-form.ts';
import { readClimateTable } from './climate-table.ts';
import { ClimateMonths } from './ClimateMonths.tsx';
import { nearest, stationsByKind, type PlaceFields, type PlaceWay } from './place-form.ts';

interface PlaceChoiceProps {
  readonly fields: PlaceFields;
  /** Where the months of a garden that is being changed are from; null for a new one. */
  readonly keptFrom: string | null;
  readonly reader: Reader;
  readonly troubles: Readonly<Record<string, string>>;
  readonly onChange: (change: Partial<PlaceFields>) => void;
}

const WAY_NAMES: Readonly<Record<Exclude<PlaceWay, 'kept'>, string>> = {
  name: 'a town near you',
  coordinates: 'your coordinates',
  kind: 'a kind of climate',
  own: 'twelve months of your own',
};

/** Where the garden lies, found in whichever way its owner knows: the weather follows from it. */
export function PlaceChoice(props: PlaceChoiceProps) {
  const { fields, keptFrom, onChange } = props;
  const ways = [
    ...(keptFrom === null ? [] : [{ value: 'kept', label: keptFrom }]),
    ...Object.entries(WAY_NAMES).map(([value, label]) => ({ value, label })),
  ];
  return (
    <>
      <div className="field">
        <span className="field-name" id="way-of-place">
          Where is it? The weather follows from that.
        </span>
        <Radio.Group
          aria-labelledby="way-of-place"
          className="place-ways"
          value={fields.way}
          options={ways}
          onChange={(event) =>
            onChange({ way: event.target.value as PlaceWay, station: null, isGuessed: false })
          }
        />
      </div>
      {fields.way === 'name' && <ByName {...props} />}
      {fields.way === 'coordinates' && <ByCoordinates {...props} />}
      {fields.way === 'kind' && <ByKind {...props} />}
      {fields.way === 'own' && <OwnMonths {...props} />}
    </>
  );
}

const STATION_OPTIONS = STATIONS.map(({ name, region, koppen }) => ({
  value: name,
  label: `${name}, ${region}`,
  name: `${name} ${region}`,
  synonyms: [name, `${region} ${koppenWords(koppen)}`],
}));

function ByName({ fields, troubles, onChange }: PlaceChoiceProps) {
  return (
    <Field
      name="Nearest town or weather station"
      hint={
        fields.isGuessed
          ? 'A guess by the clock of this device. Type another town, a country or a region.'
          : `Type a town, a country or a region. There are ${STATIONS.length} of them; their means are from memory.`
      }
      trouble={troubles['station']}
    >
      {(control) => (
        <Select
          {...control}
          showSearch={BY_NAME}
          value={fields.station}
          placeholder="Type to search"
          onChange={(station: string) => onChange({ station, isGuessed: false })}
          options={STATION_OPTIONS}
          style={{ width: 340 }}
          notFoundContent="None of that name. Try the country, or your coordinates."
        />
      )}
    </Field>
  );
}

function ByCoordinates({ fields, reader, troubles, onChange }: PlaceChoiceProps) {
  const near = nearest(fields, reader);
  const chosen = fields.station ?? near[0]?.station.name ?? null;
  const unit = reader.system === 'customary' ? 'ft' : 'm';
  return (
    <>
      <div className="band-fields">
        <TextField
          name="Latitude, °"
          value={fields.latitude}
          onChange={(latitude) => onChange({ latitude, station: null })}
          trouble={troubles['latitude']}
          hint="South with a minus"
        />
        <TextField
          name="Longitude, °"
          value={fields.longitude}
          onChange={(longitude) => onChange({ longitude, station: null })}
          trouble={troubles['longitude']}
          hint="West with a minus"
        />
        <TextField
          name={`Height above the sea, ${unit}`}
          value={fields.elevation}
          onChange={(elevation) => onChange({ elevation, station: null })}
          trouble={troubles['elevation']}
          hint="May stay empty"
        />
      </div>
      {near.length > 0 && (
        <div className="field">
          <span className="field-name" id="nearest-stations">
            Likest by distance and height
          </span>
          <Radio.Group
            aria-labelledby="nearest-stations"
            className="place-ways"
            value={chosen}
            options={near.map(({ station, km }) => ({
              value: station.name,
              label: `${station.name}, ${station.region} (${distanceWords(km, reader)})`,
            }))}
            onChange={(event) => onChange({ station: event.target.value as string })}
          />
          <span className="soft hint">
            Its months are moved to your height, and what evaporates to your latitude.
          </span>
        </div>
      )}
    </>
  );
}

const KM_PER_MILE = 1.609344;
const distanceWords = (km: number, { system }: Reader): string =>
  system === 'customary' ? `${Math.round(km / KM_PER_MILE)} miles` : `${Math.round(km)} km`;

function ByKind({ fields, troubles, onChange }: PlaceChoiceProps) {
  const kinds = useMemo(() => [...stationsByKind()].toSorted(([a], [b]) => a.localeCompare(b)), []);
  const stations: readonly Station[] = kinds.find(([koppen]) => koppen === fields.koppen)?.[1] ?? [];
  return (
    <>
      <Field name="Kind of climate" hint="By Köppen and Geiger.">
        {(control) => (
          <Select
            {...control}
            value={fields.koppen}
            placeholder="Choose one"
            onChange={(koppen: string) => onChange({ koppen, station: null })}
            options={kinds.map(([koppen]) => ({
              value: koppen,
              label: `${koppenWords(koppen)} (${koppen})`,
            }))}
            popupMatchSelectWidth={false}
            style={{ width: 340 }}
          />
        )}
      </Field>
      {stations.length > 0 && (
        <Field name="Most like" trouble={troubles['station']}>
          {(control) => (
            <Select
              {...control}
              value={fields.station}
              placeholder="Choose one"
              onChange={(station: string) => onChange({ station })}
              options={stations.map(({ name, region }) => ({ value: name, label: `${name}, ${region}` }))}
              style={{ width: 340 }}
            />
          )}
        </Field>
      )}
    </>
  );
}

function OwnMonths({ fields, reader, troubles, onChange }: PlaceChoiceProps) {
  return (
    <>
      <TextField
        name="Latitude, °"
        value={fields.latitude}
        onChange={(latitude) => onChange({ latitude })}
        trouble={troubles['latitude']}
        hint="South with a minus. It tells how much sun there is, and so what evaporates."
      />
      <PasteTable reader={reader} months={fields.months} onMonths={(months) => onChange({ months })} />
      <ClimateMonths
        typed={fields.months}
        reader={reader}
        troubles={troubles}
        onChange={(months) => onChange({ months })}
      />
    </>
  );
}

interface PasteTableProps {
  readonly reader: Reader;
  readonly months: TypedClimate;
  readonly onMonths: (months: TypedClimate) => void;
}

/** Twelve months out of a table from anywhere, put into their fields for a look. */
function PasteTable({ reader, months, onMonths }: PasteTableProps) {
  const [said, setSaid] = useState<string | null>(null);
  const [text, setText] = useState('');
  const read = () => {
    const found = readClimateTable(text, reader.system);
    const rows = CLIMATE_ROWS.filter(({ field }) => found[field]);
    if (rows.length === 0) {
      setSaid('No row or column of twelve figures was found.');
      return;
    }
    const taken = rows.map(({ field, quantity }) => [
      field,
      found[field]!.map((value) => typedFrom(value, quantity, { ...reader, digits: 3 })),
    ]);
    onMonths({ ...months, ...(Object.fromEntries(taken) as Partial<TypedClimate>) });
    setSaid(`Read: ${rows.map(({ name }) => name.toLowerCase()).join(', ')}. Look whether it is right.`);
    setText('');
  };
  return (
    <Field
      name="Paste a table, or type below"
      hint={
        said ?? 'Rows or columns in any order; °C or °F, mm or inches. Only temperature and rain are needed.'
      }
    >
      {(control) => (
        <div className="paste-table">
          <Input.TextArea
            {...control}
            value={text}
            rows={2}
            onChange={(event) => setText(event.target.value)}
          />
          <Button onClick={read} disabled={text.trim() === ''}>
            Read it
          </Button>
        </div>
      )}
    </Field>
  );
}
