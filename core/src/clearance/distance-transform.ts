/**
 * The squared distance, in cells, of every cell of a grid to the nearest marked one: exact, two passes of lower envelopes
 * of parabolas (P. Felzenszwalb, D. Huttenlocher, “Distance Transforms of Sampled Functions”, 2012). `marked` is row by
 * row, `columns` wide. Where nothing is marked every distance is {@link FAR}.
 */
export function squaredDistances(marked: Uint8Array, columns: number, rows: number): Float64Array {
  const squared = new Float64Array(columns * rows);
  for (let cell = 0; cell < squared.length; cell += 1) squared[cell] = marked[cell] === 1 ? 0 : FAR;
  const longest = Math.max(columns, rows);
  const line = new Float64Array(longest);
  const envelope = { at: new Int32Array(longest), from: new Float64Array(longest + 1) };
  for (let column = 0; column < columns; column += 1) {
    for (let row = 0; row < rows; row += 1) line[row] = squared[row * columns + column] as number;
    lowerEnvelope(line, rows, envelope, (row, value) => (squared[row * columns + column] = value));
  }
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) line[column] = squared[row * columns + column] as number;
    lowerEnvelope(line, columns, envelope, (column, value) => (squared[row * columns + column] = value));
  }
  return squared;
}

/** A squared distance no grid reaches. */
export const FAR = 1e12;

function lowerEnvelope(
  heights: Float64Array,
  count: number,
  { at, from }: { readonly at: Int32Array; readonly from: Float64Array },
  put: (index: number, value: number) => void,
): void {
  const height = (index: number) => heights[index] as number;
  let last = 0;
  at[0] = 0;
  from[0] = -Infinity;
  from[1] = Infinity;
  for (let index = 1; index < count; index += 1) {
    for (;;) {
      const parabola = at[last] as number;
      const meets =
        (height(index) + index * index - (height(parabola) + parabola * parabola)) / (2 * index - 2 * parabola);
      if (meets <= (from[last] as number)) {
        last -= 1;
        continue;
      }
      last += 1;
      at[last] = index;
      from[last] = meets;
      from[last + 1] = Infinity;
      break;
    }
  }
  let parabola = 0;
  // What is put changes what is read where both are the same memory: the line is a copy.
  for (let index = 0; index < count; index += 1) {
    while ((from[parabola + 1] as number) < index) parabola += 1;
    const apart = index - (at[parabola] as number);
    put(index, apart * apart + height(at[parabola] as number));
  }
}
