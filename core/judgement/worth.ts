/** What can be picked, and what each pick is worth, 0…1. */
export type Worth = readonly { readonly pick: string; readonly value: number }[];
