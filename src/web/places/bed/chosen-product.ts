import type { BedRecord, GardenRecord } from '../../../contract/records.ts';
import { asProduct, findFeedProduct } from '../../../core/supplement/feed-products.ts';
import type { ChosenProduct } from '../../../words/advice-words.ts';
import { materialName } from '../../../words/record-names.ts';

/** The product a garden feeds with, for one of its beds. */
export function chosenProduct({ feedMaterialId }: GardenRecord, bed: BedRecord): ChosenProduct {
  const product = findFeedProduct(feedMaterialId);
  return {
    name: materialName(product.materialId, []).toLowerCase(),
    dose: (nitrogenGPerM2) => asProduct(nitrogenGPerM2, product, bed),
  };
}
