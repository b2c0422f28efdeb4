import { CROP_LIBRARY, MATERIAL_LIBRARY } from '../../../core/ground/index.ts';
import { sameNameHint } from '../../../words/same-name.ts';
import { useBooks } from '../../app/garden-context.ts';

type Kind = 'beds' | 'lots' | 'materials' | 'crops' | 'habits' | 'recipes' | 'buildUps';

/** What a library has under a name is taken too. */
const LIBRARIES: Readonly<Partial<Record<Kind, readonly { readonly id: string; readonly name: string }[]>>> =
  {
    materials: MATERIAL_LIBRARY,
    crops: CROP_LIBRARY,
  };

/** The hint of a field for a name that another record of the garden has already. */
export function useSameName(kind: Kind, name: string, ownId?: string): string | undefined {
  const books = useBooks();
  return sameNameHint(name, [...books[kind], ...(LIBRARIES[kind] ?? [])], ownId);
}
