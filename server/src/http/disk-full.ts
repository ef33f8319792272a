const FULL = new Set(['ENOSPC', 'EDQUOT', 'SQLITE_FULL']);

/** Whether `error`, or what it came from, says that there is no room on the disk. */
export function isDiskFull(error: unknown): boolean {
  for (let at = error, deep = 0; at instanceof Error && deep < 5; at = at.cause, deep += 1)
    if (('code' in at && FULL.has(String(at.code))) || /database or disk is full/.test(at.message)) return true;
  return false;
}
