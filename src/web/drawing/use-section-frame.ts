import { useIsPhone } from '../app/use-phone.ts';
import { NARROW_FRAME, type SectionFrame, WIDE_FRAME } from './section-frame.ts';

/** How wide the section is drawn. */
export const useSectionFrame = (): SectionFrame => (useIsPhone() ? NARROW_FRAME : WIDE_FRAME);
