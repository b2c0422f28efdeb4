/** US liquid gallon of 231 cubic inches, exact; its quart and cup are a quarter and a sixteenth. */
export const LITRES_PER_GALLON = 3.785411784;
export const LITRES_PER_QUART = LITRES_PER_GALLON / 4;
export const LITRES_PER_CUP = LITRES_PER_GALLON / 16;
/** A sixteenth and a forty-eighth of a cup. */
export const LITRES_PER_TABLESPOON = LITRES_PER_CUP / 16;
export const LITRES_PER_TEASPOON = LITRES_PER_CUP / 48;
/** Cube of the international foot, exact. */
export const LITRES_PER_CUBIC_FOOT = 28.316846592;
export const LITRES_PER_CUBIC_YARD = LITRES_PER_CUBIC_FOOT * 27;
export const LITRES_PER_CUBIC_METRE = 1000;

/** Builder's bucket: 10 L where things are metric, 5 gallons where they are not (common practice, no source). */
export const LITRES_PER_METRIC_BUCKET = 10;
export const LITRES_PER_CUSTOMARY_BUCKET = 5 * LITRES_PER_GALLON;
/** Garden barrow filled level: 85 L, or 3 cubic feet (common practice, no source). */
export const LITRES_PER_METRIC_BARROW = 85;
export const LITRES_PER_CUSTOMARY_BARROW = 3 * LITRES_PER_CUBIC_FOOT;
