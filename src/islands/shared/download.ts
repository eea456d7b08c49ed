/** Hands a file made on this page to the browser to be kept. */
export function download(name: string, content: Blob | string, type = 'text/plain;charset=utf-8'): void {
  const blob = typeof content === 'string' ? new Blob([content], { type }) : content;
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
}

/** A name of a file from a kitchen's name. */
export const fileName = (kitchen: string | undefined, ending: string): string =>
  `${(kitchen ?? 'kitchen').replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-+|-+$/g, '') || 'kitchen'}${ending}`;
