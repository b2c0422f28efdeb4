import type { Task } from '../../../core/season/index.ts';

/** The page on which a task is done, or understood. */
export function whereToGo({ what, bedId, lotId }: Task, gardenId: string): string {
  const garden = `/garden/${gardenId}`;
  switch (what.code) {
    case 'closeYear':
      return `${garden}/year?bed=${bedId}&year=${what.year}`;
    case 'liftPath':
    case 'retest':
      return `${garden}/year?bed=${bedId}`;
    case 'check':
      return `${garden}/log?bed=${bedId}`;
    case 'brewStep':
    case 'brewReady':
    case 'brewUseBy':
      return `${garden}/prepare/brews`;
    case 'coldCheck':
    case 'measureChar':
    case 'charReady':
    case 'stirCharge':
      return `${garden}/prepare/char`;
    case 'turnHeap':
    case 'finished':
      return `${garden}/prepare/heaps`;
    default:
      if (bedId !== null) return `${garden}/bed/${bedId}`;
      return lotId === null ? garden : `${garden}/stock/${lotId}`;
  }
}
