import { CROP_GROUPS, type Crop } from '../../../core/ground/index.ts';
import { CROP_GROUP_NAMES } from '../../../words/crop-words.ts';

/** Crops in the order of the headings they are chosen under. */
export const cropsByGroup = (crops: readonly Crop[]): Crop[] =>
  CROP_GROUPS.flatMap((group) => crops.filter((crop) => crop.group === group));

export const groupName = ({ group }: Crop): string => CROP_GROUP_NAMES[group];
