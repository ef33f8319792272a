/** Hands `text` to the person as a file called `name`. */
export function saveFile(name: string, text: string, type = 'text/csv;charset=utf-8'): void {
  const address = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  URL.revokeObjectURL(address);
}
