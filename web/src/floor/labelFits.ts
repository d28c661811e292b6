/** Widths of type on a tape, in pixels: a letter, and what stands before and after a label. */
const LETTER = 8.6;
const PADDING = 14;

/** Whether a label fits whole into a block of a tape; one that does not is left out, and said when it is pointed at. */
export const labelFits = (label: string, blockWidth: number): boolean =>
  blockWidth >= label.length * LETTER + PADDING;
