import { useState } from 'react';

/**
 * A drawer or dialog that is there while it is open: it is shut first and goes when it is out of sight, so that the
 * keyboard comes back to where it was opened from.
 */
export function useOpening(onGone: () => void) {
  const [open, setOpen] = useState(true);
  return {
    open,
    shut: () => setOpen(false),
    afterOpenChange: (isOpen: boolean) => {
      if (!isOpen) onGone();
    },
  };
}
