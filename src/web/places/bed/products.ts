import type { BedRecord } from '../../../records/bed.ts';
import { asProduct, findFeedProduct, type FeedAvailability } from '../../../core/bed/index.ts';
import type { ChosenProduct } from '../../../words/feeding-words.ts';
import { materialName } from '../../../words/record-names.ts';

/** The products that the plan of a bed may name, each with what a dose of it comes to there. */
export const productsFor =
  (bed: BedRecord, availabilities: FeedAvailability) =>
  (materialId: string): ChosenProduct => {
    const product = findFeedProduct(materialId);
    return {
      name: materialName(product.materialId, []).toLowerCase(),
      dose: (nitrogenGPerM2) => asProduct({ nitrogenGPerM2, product, bed, availabilities }),
    };
  };
