import { useMemo } from 'react';
import type { BedRecord } from '../../../records/bed.ts';
import { bedAsChange } from '../../api/as-change.ts';
import { useChangeBed } from '../../api/gardens.ts';

/** Whether the likely range of a bed heeds its log, and a way to change that. */
export function useLearning(bed: BedRecord) {
  const { mutate } = useChangeBed();
  return useMemo(() => {
    return {
      isOn: bed.learnsFromLog,
      toggle: () =>
        mutate({ bedId: bed.id, change: { ...bedAsChange(bed), learnsFromLog: !bed.learnsFromLog } }),
    };
  }, [bed, mutate]);
}
