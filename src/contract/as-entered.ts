import { faultSentence } from '../core/input-error.ts';

/** The model refuses masses and depths; people enter amounts. The field to point at. */
export const fieldAsEntered = (field: string): string => (field === 'massFreshKg' ? 'amount' : field);

/** A sentence of the model about a field, with the field as it was entered. */
export const sentenceAsEntered = (field: string, requirement: string): string =>
  faultSentence(fieldAsEntered(field), requirement);
