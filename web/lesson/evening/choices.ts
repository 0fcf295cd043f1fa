/** Somebody or something that can be chosen. */
export interface Choice {
  readonly id: string;
  readonly name: string;
}
