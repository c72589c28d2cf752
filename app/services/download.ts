/** Offers a text as a file to be saved. */
export const saveText = (name: string, type: string, text: string): void =>
  offer(name, new Blob([text], { type }));

export const saveBytes = (name: string, type: string, bytes: Uint8Array): void =>
  offer(name, new Blob([bytes as Uint8Array<ArrayBuffer>], { type }));

const offer = (name: string, blob: Blob): void => {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(blob);
  link.download = name.replaceAll(/[\\/:*?"<>|]/g, "-");
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
};
