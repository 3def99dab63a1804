/** Gives somebody a file to keep. @param parts its text, in pieces */
export function saveFile(name: string, type: 'text/csv' | 'application/json', ...parts: readonly string[]): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([...parts], { type }));
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}
