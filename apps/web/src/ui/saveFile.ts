/** Hands the user a file. */
export function saveBlob(name: string, blob: Blob): void {
  const address = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = address;
  link.download = name.replace(/[^\p{L}\p{N} ,._-]/gu, '_');
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}

/** Hands the user a text as a file. */
export const saveFile = (name: string, type: string, text: string): void =>
  saveBlob(name, new Blob([text], { type: `${type};charset=utf-8` }));
