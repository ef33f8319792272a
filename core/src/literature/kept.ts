/** What can be kept as literature. */
export const LITERATURE_TYPES = ['pdf', 'picture', 'text'] as const;
export type LiteratureType = (typeof LITERATURE_TYPES)[number];

export const LITERATURE_TYPE_WORDS: Readonly<Record<LiteratureType, string>> = {
  pdf: 'PDF',
  picture: 'picture',
  text: 'text',
};

/** How the file of each type ends. */
export const ENDING_OF = { pdf: 'pdf', picture: 'jpg', text: 'txt' } as const satisfies Record<LiteratureType, string>;

/** A file of the literature as it is kept. It never changes: its name is the SHA-256 of its contents and its ending. */
export interface KeptLiterature {
  readonly file: string;
  readonly type: LiteratureType;
  readonly pages: number;
  readonly bytes: number;
}

/** What one file, and all files of one job, may come to. */
export const MOST_LITERATURE = {
  fileBytes: 60_000_000,
  /** A text is broken into pages in one go. */
  textBytes: 500_000,
  jobBytes: 200_000_000,
  files: 60,
  pages: 4_000,
} as const;
