import type { BedRecord } from '../../../records/bed.ts';
import type { GardenRecord } from '../../../records/garden.ts';
import { asProduct, findFeedProduct, type FeedAvailability } from '../../../core/bed/index.ts';
import type { ChosenProduct } from '../../../words/advice-words.ts';
import { materialName } from '../../../words/record-names.ts';

/** The product a garden feeds with, for one of its beds. */
export function chosenProduct(
  { feedMaterialId }: GardenRecord,
  bed: BedRecord,
  availability: FeedAvailability,
): ChosenProduct {
  const product = findFeedProduct(feedMaterialId);
  return {
    name: materialName(product.materialId, []).toLowerCase(),
    dose: (nitrogenGPerM2) => asProduct({ nitrogenGPerM2, product, bed, availabilities: availability }),
  };
}
