const asFileName = (name: string): string =>
  name
    .replace(/[\\/:*?"<>|]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim() || 'Sledge';

/** Gives the person a file to keep. */
export function saveFile(name: string, ending: string, type: string, content: string | Uint8Array): void {
  const url = URL.createObjectURL(
    new Blob([typeof content === 'string' ? content : new Uint8Array(content)], { type }),
  );
  const link = document.createElement('a');
  link.href = url;
  link.download = `${asFileName(name)}.${ending}`;
  link.click();
  setTimeout(() => {
    URL.revokeObjectURL(url);
  }, 10_000);
}
