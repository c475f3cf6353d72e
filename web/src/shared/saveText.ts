/** Gives the browser something to save as a file. Nothing leaves the machine. */
export function saveBlob(fileName: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = fileName;
  link.click();
  URL.revokeObjectURL(url);
}

export const saveText = (fileName: string, text: string, type: string): void =>
  saveBlob(fileName, new Blob([text], { type }));
