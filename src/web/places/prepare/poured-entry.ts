import type { ScaledBrew } from '../../../core/yard/index.ts';
import type { EntryDraft } from '../../../records/entry.ts';
import type { BrewId } from '../../../records/vocabulary.ts';
import { BREW_WORDS } from '../../../words/brew-words.ts';

/** The layer that a brew is in the books of a bed; null where it brings nothing that is followed. */
export function pouredEntry(
  id: BrewId,
  scaled: ScaledBrew,
  {
    date,
    today,
    litresWords,
  }: { readonly date: string; readonly today: string; readonly litresWords: string },
): EntryDraft | null {
  const [main] = scaled.adds;
  if (!main) return null;
  return {
    type: 'lay',
    state: date > today ? 'planned' : 'laid',
    date,
    note: `${BREW_WORDS[id].name}, ${litresWords}.`,
    materialId: main.materialId,
    lotId: null,
    amount: main.litres,
    unit: 'litre',
    dugDepthCm: 0,
    seasonedMonths: 0,
  };
}
