/** Gives somebody a file to keep. @param parts its text or bytes, in pieces */
export function saveFile(
  name: string,
  type: 'text/csv' | 'application/json' | 'audio/wav',
  ...parts: readonly (string | Uint8Array)[]
): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob(parts as BlobPart[], { type }));
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}
