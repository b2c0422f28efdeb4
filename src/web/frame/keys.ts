/** Keys that lead somewhere: g, and then the letter. */
export const PLACE_KEYS = [
  { key: 'g', path: '', name: 'Garden' },
  { key: 'c', path: '/calendar', name: 'Calendar' },
  { key: 'l', path: '/log', name: 'Logbook' },
  { key: 'y', path: '/years', name: 'Years' },
  { key: 's', path: '/stock', name: 'Stock' },
  { key: 'm', path: '/prepare', name: 'Mixing bench' },
  { key: 'd', path: '/data', name: 'Your data' },
  { key: 'h', path: '/method', name: 'Method' },
] as const;

/** What keys do where something is in hand. */
export const HAND_KEYS = [
  { keys: '/ or Ctrl + K', does: 'search' },
  { keys: 'g then 1 to 9', does: 'the first to the ninth bed' },
  { keys: 'Tab', does: 'from one layer, field or answer to the next' },
  { keys: '↑ ↓ on a layer of the drawing', does: 'thicker or thinner; Page ↑ ↓ in larger steps' },
  { keys: 'Alt + ↑ ↓ on a layer', does: 'up or down among the layers of its day' },
  { keys: 'Enter, Delete on a layer', does: 'open it, delete it' },
  { keys: '← → on the time line', does: 'a day back or on' },
  { keys: 'Ctrl + Z, Ctrl + Shift + Z', does: 'undo what you tried on a bed, redo it' },
  { keys: 'Esc', does: 'close what is open' },
  { keys: '?', does: 'this list' },
] as const;

/** Whether keys belong to what has the focus: a field, or a dialog. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  target.closest('input, textarea, select, [contenteditable], [role="dialog"]') !== null;
