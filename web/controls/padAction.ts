/** Something to press at the table: a button with its key. */
export interface PadAction {
  /** As the browser names it, small letters; a space for the space bar. */
  readonly key: string;
  readonly label: string;
  readonly run: () => void;
  /** The one that is pressed most. */
  readonly main?: boolean;
  /** Of a choice: whether it is chosen. */
  readonly chosen?: boolean;
  readonly disabled?: boolean;
}

/** A key as it is printed. */
export function keyWord(key: string): string {
  if (key === ' ') return 'Space';
  return key.length === 1 ? key.toUpperCase() : key;
}
