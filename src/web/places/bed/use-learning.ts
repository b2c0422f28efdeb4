import { useMemo } from 'react';
import type { BedRecord } from '../../../contract/records.ts';
import { useChangeBed } from '../../api/gardens.ts';

/** Whether the likely range of a bed heeds its log, and a way to change that. */
export function useLearning(bed: BedRecord) {
  const { mutate } = useChangeBed();
  return useMemo(() => {
    const { id, version, gardenId, createdAt, updatedAt, ...fields } = bed;
    return {
      isOn: bed.learnsFromLog,
      toggle: () => mutate({ bedId: id, change: { ...fields, version, learnsFromLog: !bed.learnsFromLog } }),
    };
  }, [bed, mutate]);
}
