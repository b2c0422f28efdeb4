import jstat from 'jstat';
import type { StudentT } from '../../core/season/index.ts';

/** Student's distribution out of the statistics package; the only file that knows it. */
export const studentT: StudentT = {
  quantile: (share, degreesOfFreedom) => jstat.studentt.inv(share, degreesOfFreedom),
};
