/** A text as a code to scan, as the source of a picture. @param margin in modules of the code */
export async function codeOf(text: string, margin = 2): Promise<string> {
  const { toString } = await import('qrcode');
  return `data:image/svg+xml,${encodeURIComponent(await toString(text, { type: 'svg', margin }))}`;
}
