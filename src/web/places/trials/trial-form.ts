import type { JournalDraft } from '../../../contract/requests.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { TRIAL_TEMPLATES } from '../../../words/trial-words.ts';

type TrialDraft = Extract<JournalDraft, { kind: 'trial' }>;

/** A trial as it is being set up; its treatments as they are typed, blank lines among them. */
export type TrialForm = Omit<TrialDraft, 'id' | 'kind' | 'note'>;

const MOST_TREATMENTS = 8;

export const newTrialForm = (
  { today, garden }: Pick<GardenBooks, 'today' | 'garden'>,
  seed: number,
): TrialForm => {
  const [{ name, place, treatments }] = TRIAL_TEMPLATES as [(typeof TRIAL_TEMPLATES)[number]];
  return {
    date: today,
    bedId: null,
    name,
    place,
    treatments: [...treatments],
    repeats: 4,
    seed,
    measure: 'height',
    unit: garden.measures === 'metric' ? 'cm' : 'in',
    isMoreBetter: true,
  };
};

/** What a usual trial fills in; nothing when there is none of that name. */
export function fromTemplate(name: string | null): Partial<TrialForm> {
  const template = TRIAL_TEMPLATES.find((one) => one.name === name);
  return template ? { ...template, treatments: [...template.treatments] } : {};
}

/** One treatment a line; lines beyond the most a trial can have are left out. */
export const linesOf = (text: string): string[] => text.split('\n').slice(0, MOST_TREATMENTS);

/** The treatments that are named. */
export const treatmentsOf = ({ treatments }: Pick<TrialForm, 'treatments'>): string[] =>
  treatments.map((name) => name.trim()).filter((name) => name !== '');

/** Whether dust of char or ash is raised by it. */
export const raisesDust = (treatments: readonly string[]): boolean =>
  treatments.some((name) => /\b(bio)?char(coal)?\b|\bash(es)?\b/i.test(name));
