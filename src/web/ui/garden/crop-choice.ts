import type { BedKind } from '../../../records/vocabulary.ts';
import { CROP_GROUPS, type Crop, type CropGroup, findLibraryCrop } from '../../../core/ground/index.ts';
import { CROP_GROUP_NAMES } from '../../../words/crop-words.ts';

/** What is looked for first on a kind of bed, and proposed there until another crop is chosen. */
const FIRST_ON: Readonly<
  Partial<Record<BedKind, { readonly groups: readonly CropGroup[]; readonly cropId: string }>>
> = {
  treeRing: { groups: ['fruitTree', 'citrus', 'nutTree'], cropId: 'apple' },
  shrubs: { groups: ['berry', 'vine', 'ornamental'], cropId: 'currant' },
  perennial: { groups: ['ornamental', 'herb', 'berry'], cropId: 'perennial_border' },
  resting: { groups: ['greenManure'], cropId: 'white_clover' },
};
const FIRST_CROP = 'leek';

/** Crops in the order of the headings they are chosen under; those that suit the bed come first. */
export function cropsByGroup(crops: readonly Crop[], kind: BedKind): Crop[] {
  const first = FIRST_ON[kind]?.groups ?? [];
  const groups = [...first, ...CROP_GROUPS.filter((group) => !first.includes(group))];
  return groups.flatMap((group) => crops.filter((crop) => crop.group === group));
}

export const firstCropOn = (kind: BedKind): Crop => findLibraryCrop(FIRST_ON[kind]?.cropId ?? FIRST_CROP)!;

export const groupName = ({ group }: Crop): string => CROP_GROUP_NAMES[group];
