/** Lines beside each other differ in color, in dashes and in the name at their end. */
export interface LineMark {
  readonly color: string;
  readonly dash: string | undefined;
}

export const LINE_MARKS: readonly LineMark[] = [
  { color: '#3D4A84', dash: undefined },
  { color: '#A0461E', dash: '9 3' },
  { color: '#4C6514', dash: '2.5 3' },
  { color: '#7A3566', dash: '10 3 2 3' },
  { color: '#7D5B00', dash: '5 4' },
  { color: '#3F5C68', dash: '14 4' },
];

export const markOf = (place: number): LineMark => LINE_MARKS[place % LINE_MARKS.length]!;
