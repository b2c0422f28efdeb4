/** Run in a page: from now on it works out only what is asked for, as on a device whose gardener wants it spared. */
export const spareDevice = (): void => localStorage.setItem('vine-ledger:sparing', 'yes');
