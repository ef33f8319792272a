/** How the backups of the shop’s data go. */
export interface BackupStatus {
  /** The folder they go to, and how often; absent where the shop has set none. */
  readonly into?: string;
  readonly everyHours?: number;
  /** The newest there is. */
  readonly last?: { readonly madeAt: string; readonly jobs: number; readonly photos: number };
  /** Why the last try failed. */
  readonly trouble?: string;
}
