/** A figure with a point or a comma in it, or with neither. */
const FIGURE = /^[+\-−]?(\d+([.,]\d+)?|[.,]\d+)$/;
/** Gaps, apostrophes or several points where thousands are: read in two ways, ten countries apart. */
const THOUSANDS = /^[+\-−]?\d{1,3}([\s'’.,]\d{3})+([.,]\d+)?$/;

/**
 * The figure in what somebody typed, with a point or a comma: 44.5 for “44,5”. Undefined where nothing was typed, NaN where it is
 * no figure or could be meant as thousands (`figureFault` says which).
 */
export function figureIn(typed: string): number | undefined {
  const said = typed.trim();
  if (said === '') return undefined;
  if (!FIGURE.test(said) || inThousands(said)) return NaN;
  return Number(said.replace(',', '.').replace('−', '-'));
}

/** What is wrong with a figure that was typed, in a sentence; empty where nothing is. */
export function figureFault(typed: string): string {
  const said = typed.trim();
  if (said === '' || Number.isFinite(figureIn(said))) return '';
  if (!THOUSANDS.test(said)) return `“${said}” is no figure. One point or comma, nothing else.`;
  const [, before = '', behind = ''] = /^(.*[\s'’.,]\d{3})([.,]\d+)?$/.exec(said) ?? [];
  const whole = before.replace(/[\s'’.,]/g, '') + (FIGURE.test(said) ? '' : behind);
  return FIGURE.test(said)
    ? `“${said}” can be read two ways. Write ${whole}, or ${figureWords(Number(said.replace(',', '.')))}.`
    : `“${said}” has thousands marked. Write the figure without: ${whole}.`;
}

/** `value` as it is shown back to whoever typed it. */
export function figureWords(value: number): string {
  return String(Number(value.toPrecision(12)));
}

/** “1.250” is 1.25 to one and 1250 to another; with another last figure than nought nobody means thousands by it. */
function inThousands(said: string): boolean {
  return THOUSANDS.test(said) && !(FIGURE.test(said) && (/^[+\-−]?0/.test(said) || !said.endsWith('0')));
}
