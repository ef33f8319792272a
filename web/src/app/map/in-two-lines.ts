/** A name in at most two lines of about `longest` letters; what does not fit is cut. */
export function inTwoLines(name: string, longest = 17): readonly string[] {
  if (name.length <= longest) return [name];
  const words = name.split(' ');
  let first = words.shift() ?? '';
  while (words[0] !== undefined && `${first} ${words[0]}`.length <= longest) first += ` ${words.shift() ?? ''}`;
  const second = words.join(' ');
  const cut = (line: string) => (line.length > longest + 1 ? `${line.slice(0, longest)}…` : line);
  return second === '' ? [cut(first)] : [cut(first), cut(second)];
}
