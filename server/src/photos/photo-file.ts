/** The name of the file of a picture, within a shelf or a bundle. */
export function photoFile(photo: string): string {
  return `${photo}.jpg`;
}
