/** Hands a text to the browser as a file to keep. */
export function saveFile(name: string, text: string, type = 'text/csv'): void {
  saveBlob(name, new Blob([text], { type: `${type};charset=utf-8` }));
}

export function saveBlob(name: string, blob: Blob): void {
  const address = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}
