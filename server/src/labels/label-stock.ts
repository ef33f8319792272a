/** A sheet or roll of labels, in millimetres. */
export interface LabelStock {
  readonly id: string;
  readonly page: { readonly widthMm: number; readonly heightMm: number };
  readonly columns: number;
  readonly rows: number;
  readonly label: { readonly widthMm: number; readonly heightMm: number };
  /** From the left upper corner of the page to that of the first label. */
  readonly margin: { readonly leftMm: number; readonly topMm: number };
}

const A4 = { widthMm: 210, heightMm: 297 } as const;
const grid = (id: string, columns: number, rows: number, widthMm: number, heightMm: number): LabelStock => ({
  id,
  page: A4,
  columns,
  rows,
  label: { widthMm, heightMm },
  margin: { leftMm: (A4.widthMm - columns * widthMm) / 2, topMm: (A4.heightMm - rows * heightMm) / 2 },
});
const roll = (id: string, widthMm: number, heightMm: number): LabelStock => ({
  id,
  page: { widthMm, heightMm },
  columns: 1,
  rows: 1,
  label: { widthMm, heightMm },
  margin: { leftMm: 0, topMm: 0 },
});

/** Labels that are to be had: A4 sheets cut in 14, 24 or 40, and a narrow roll, one label a page. */
export const LABEL_STOCKS: readonly LabelStock[] = [
  grid('a4-24', 3, 8, 70, 37),
  grid('a4-14', 2, 7, 99, 38),
  grid('a4-40', 4, 10, 52.5, 29.7),
  roll('roll', 62, 29),
];
