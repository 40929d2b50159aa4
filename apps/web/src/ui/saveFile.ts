/** Hands the user a text as a file. */
export function saveFile(name: string, type: string, text: string): void {
  const address = URL.createObjectURL(new Blob([text], { type: `${type};charset=utf-8` }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name.replace(/[^\p{L}\p{N} ._-]/gu, '_');
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}
