import { Button } from 'antd';
import { Alike, Area, FingerAndFill, Measured, NameAndKind, Soil, Standing } from './BedFormParts.tsx';
import { useBedForm, type BedFormProps } from './use-bed-form.ts';

/** Making a bed, or changing one. */
export function BedForm(props: BedFormProps) {
  const { changing, onClose } = props;
  const bed = useBedForm(props);
  const { fields, trouble } = bed;
  return (
    <form className="band" aria-label={changing ? 'Change the bed' : 'Make a bed'} onSubmit={bed.onSubmit}>
      <div className="band-fields">
        <NameAndKind {...bed} />
        {fields.shape === null && <Area {...bed} />}
        {fields.shape?.type !== 'pots' && <Alike {...bed} />}
      </div>
      {fields.shape !== null && <Measured {...bed} shape={fields.shape} />}
      <div className="band-fields">
        <Soil {...bed} />
        <Standing {...bed} />
      </div>
      <FingerAndFill {...bed} />
      <div className="band-foot">
        <Button type="primary" htmlType="submit" loading={bed.isSaving}>
          {changing ? 'Save the change' : 'Make the bed'}
        </Button>
        <Button onClick={onClose}>Cancel</Button>
        {trouble('') !== undefined && (
          <span className="field-trouble" role="alert">
            {trouble('')}
          </span>
        )}
      </div>
    </form>
  );
}
