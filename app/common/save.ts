/** Offers a text as a file to be saved. */
export const saveText = (name: string, type: string, text: string): void => {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(new Blob([text], { type }));
  link.download = name.replaceAll(/[\\/:*?"<>|]/g, "-");
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
};
