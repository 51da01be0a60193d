import drawn from '../../../../data/letters/strokes.json';

/** How a letter is formed: its strokes in order, each in the direction of the pen. */
export interface Letter {
  /** How far it reaches to the right of where it begins. */
  width: number;
  /** SVG paths; the baseline is 0, small letters reach to -50, tall ones to -90, capitals to -85, tails to 40. */
  strokes: readonly string[];
}

/** Where the writing lines stand: for tall letters, small ones, the baseline, tails. */
export const LINES = [-90, -50, 0, 40] as const;

const LETTERS = drawn as Record<string, Letter & { kept?: readonly string[] }>;

/**
 * How a letter is formed; null for what is none.
 * @param keepsDown true where the pen stays on the paper as long as it can.
 */
export function letterOf(sign: string, keepsDown: boolean): Letter | null {
  const letter = LETTERS[sign];
  if (!letter) return null;
  return { width: letter.width, strokes: (keepsDown && letter.kept) || letter.strokes };
}

/** Where a stroke begins. */
export function startOf(stroke: string): { x: number; y: number } {
  const [x = 0, y = 0] = (/^M(-?[\d.]+) (-?[\d.]+)/.exec(stroke) ?? []).slice(1).map(Number);
  return { x, y };
}
