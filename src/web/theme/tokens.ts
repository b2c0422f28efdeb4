/** Colors of the account book. Each has one meaning everywhere; state never hangs on color alone. */
export const COLORS = {
  edge: '#F3ECDF',
  tab: '#E8DDCA',
  sheet: '#FFFDF8',
  rule: '#E6DDCC',
  strongRule: '#2B2620',
  ink: '#2B2620',
  softInk: '#5F564B',
  nitrogen: '#0B625A',
  nitrogenWash: '#D6E5E0',
  nitrogenDeepWash: '#A9CBC3',
  carbon: '#4A3426',
  stop: '#9E2F22',
  stopWash: '#F4DCD6',
  marginRed: '#D79A92',
  leaf: '#3F7A35',
  paleLeaf: '#B4AC45',
  rain: '#A9BCCC',
} as const;

export const FONTS = {
  text: "'Vine Digits', 'Atkinson Hyperlegible Next Variable', 'Segoe UI', sans-serif",
  figures: "'Literata Variable', Georgia, serif",
} as const;

/** Size of letters in drawings and charts, px; nothing on screen is smaller. */
export const LETTER_PX = 12.5;
