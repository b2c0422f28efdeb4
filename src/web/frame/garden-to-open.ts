/** The path of the garden that was open last on this device, or else of the first, or of the page on which to make one. */
export function pathToOpen(gardens: readonly { readonly id: string }[], lastId: string | null): string {
  const garden = gardens.find(({ id }) => id === lastId) ?? gardens.at(0);
  return garden ? `/garden/${garden.id}` : '/welcome';
}
